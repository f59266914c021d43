import { refusals } from '../shared/refusals';
import type { Done } from '../../core/history/done';
import type { Product } from '../../core/model/product';
import { kindParts } from '../../core/products/kinds';
import type { Job } from '../../contract/bulk';
import type { FieldError } from '../../contract/problem';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { sheetFields, type SheetChange, type sheetRoutes } from '../../contract/sheet';
import { differenceOf, type ProductDifference } from '../store/product-difference';
import { nextFeaturedPlace } from '../store/put-products';
import { DONE_AT_ONCE, type Prepared } from '../jobs/jobs';
import { clash, invalid } from '../shared/problem';
import { productsOf } from './queries';
import type { Catalog } from '../state/catalog';
import { checkVariants, clashesOf, misfitsOf, unknownOf } from '../products/checks';
import type { UserId } from '../state/product-or-refuse';

/** Variants that one sheet holds: more than anybody edits in one sitting, and still quick to read. */
const MOST_ROWS = 20_000;

/** Products as a sheet edits them. */
export function readSheet(
  catalog: Catalog,
  { which }: BodyOf<typeof sheetRoutes.read>,
): AnswerOf<typeof sheetRoutes.read> {
  const all = productsOf(catalog, which);
  let rows = 0;
  const products = all.filter((product) => (rows += product.variants.length) <= MOST_ROWS);
  return {
    seen: catalog.journal.latest,
    more: all.length - products.length,
    products: products.map((product) => ({
      ...(Object.fromEntries(sheetFields.map((name) => [name, product[name]])) as Pick<
        Product,
        (typeof sheetFields)[number]
      >),
      id: product.id,
      kind: product.kind,
      unitPricing: product.unitPricing,
      options: product.options,
      variants: product.variants,
      isBundle: kindParts[product.kind].slots,
      isOfParts: product.bundle?.pricing.how === 'parts',
    })),
  };
}

/** What is wrong with the changes of one product; else the product after them. */
function changed(
  catalog: Catalog,
  seen: number,
  { id, fields, variants }: SheetChange,
): { after: Product; before: Product } | { errors: FieldError[]; clashes: FieldError[] } {
  const before = catalog.working.products.get(id);
  if (!before) return { errors: [{ path: [], message: refusals.productDeleted }], clashes: [] };
  const ids = new Set(before.variants.map((variant) => variant.id));
  const gone = variants.findIndex((change) => !ids.has(change.id));
  if (gone >= 0) return { errors: [{ path: ['variants', gone], message: refusals.gone('variant') }], clashes: [] };
  const checked = checkVariants(catalog, before, seen, variants);
  const inSheet = ({ path, ...rest }: FieldError) => ({ ...rest, path: ['variants', ...path.slice(1)] });
  const errors = [...unknownOf(catalog, fields), ...misfitsOf(catalog, before, fields), ...checked.errors.map(inSheet)];
  const clashes = [...clashesOf(catalog, before, seen, fields), ...checked.clashes.map(inSheet)];
  if (errors.length > 0 || clashes.length > 0) return { errors, clashes };
  const featuredPlace =
    fields.featured && !before.featured ? { featuredPlace: nextFeaturedPlace(catalog.db) } : undefined;
  const after = { ...before, ...fields, ...featuredPlace, ...(variants.length > 0 ? { variants: checked.next } : {}) };
  return { before, after };
}

/** Changes fields of many products and variants, as one change; nothing is changed when one cell cannot be. */
export async function saveSheet(
  catalog: Catalog,
  user: UserId,
  { seen, changes }: BodyOf<typeof sheetRoutes.save>,
): Promise<Job> {
  const prepare = async (): Promise<Prepared> => {
    const differences: ProductDifference[] = [];
    const products = new Map<string, Product>();
    const errors: FieldError[] = [];
    const clashes: FieldError[] = [];
    const at = (i: number) => (error: FieldError) => ({ ...error, path: ['changes', i, ...error.path] });
    changes.forEach((change, i) => {
      const made = changed(catalog, seen, change);
      if ('after' in made) {
        differences.push(differenceOf(made.before, made.after));
        products.set(change.id, made.after);
      } else {
        errors.push(...made.errors.map(at(i)));
        clashes.push(...made.clashes.map(at(i)));
      }
    });
    if (errors.length > 0) throw invalid(errors);
    if (clashes.length > 0) throw clash(clashes);
    const cells = changes.reduce(
      (sum, { fields, variants }) =>
        sum + Object.keys(fields).length + variants.reduce((of, { fields: each }) => of + Object.keys(each).length, 0),
      0,
    );
    const done: Done = { did: 'sheetSaved', cells, count: changes.length };
    return { work: { what: 'put', done, differences }, products };
  };
  if (changes.length <= DONE_AT_ONCE) return catalog.jobs.atOnce(user, prepare);
  // What cannot be saved is told before the work begins; what changed meanwhile, by the work itself.
  await prepare();
  return catalog.jobs.start(`Saving ${changes.length} products of a sheet`, changes.length, user, prepare);
}
