import { setImmediate as nextTurn } from 'node:timers/promises';
import { refusals } from '../shared/refusals';
import { doneWords, type Done } from '../../core/history/done';
import { bulkLabel, isChange, planOf, type BulkRequest } from '../../core/bulk/bulk-actions';
import { changeLines, type NamesOf } from '../../core/bulk/changes';
import type { BulkSources } from '../../core/bulk/plan';
import type { Product } from '../../core/model/product';
import { faceUrl } from '../../core/storefront/card';
import type { bulkRoutes, Job } from '../../contract/bulk';
import type { FieldError } from '../../contract/problem';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { nextFeaturedPlace } from '../store/put-products';
import { differenceOf, type ProductDifference } from '../store/product-difference';
import { DONE_AT_ONCE, type Prepared } from '../jobs/jobs';
import { invalid, invalidField } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { unknownOf } from '../products/checks';
import { productsOf } from './queries';
import type { UserId } from '../state/product-or-refuse';

/** Products that are planned before other requests are answered. */
const PLANNED_AT_ONCE = 1_000;

function namesOf(catalog: Catalog): NamesOf {
  const { shop } = catalog.working;
  const nameIn = (map: ReadonlyMap<string, { name: string }>) => (id: string) => map.get(id)?.name ?? 'deleted';
  return {
    brand: nameIn(shop.brands),
    category: nameIn(shop.categories),
    tag: nameIn(shop.tags),
    sheets: shop.specSheets,
    currency: shop.settings.currency,
    timeZone: shop.settings.timeZone,
  };
}

/** What no product could be given, because it does not exist (any more). */
function refuseDeleted(catalog: Catalog, request: BulkRequest): void {
  const errors: FieldError[] = unknownOf(catalog, {
    ...(request.do === 'brand' ? { brandId: request.id } : {}),
    ...(request.do === 'categories' && request.how !== 'remove' ? { categoryIds: request.ids } : {}),
    ...(request.do === 'tags' && request.how !== 'remove' ? { tagIds: request.ids } : {}),
    ...(request.do === 'specs' ? { specSheetId: request.sheetId } : {}),
  });
  if (errors.length > 0) throw invalid(errors.map(({ message }) => ({ path: ['request'], message })));
}

/** What a bulk action would make of products. */
export async function previewBulk(
  catalog: Catalog,
  { which, request, offset, limit, only }: BodyOf<typeof bulkRoutes.preview>,
): Promise<AnswerOf<typeof bulkRoutes.preview>> {
  refuseDeleted(catalog, request);
  const products = productsOf(catalog, which);
  const sources = sourcesOf(catalog);
  const names = namesOf(catalog);
  const rows: AnswerOf<typeof bulkRoutes.preview>['rows'] = [];
  let [changing, failing, met] = [0, 0, 0];
  for (const [i, product] of products.entries()) {
    if (i % PLANNED_AT_ONCE === PLANNED_AT_ONCE - 1) await nextTurn();
    const plan = planOf(product, request, sources);
    const problem = 'problem' in plan ? plan.problem : null;
    const isChanging = isChange(product, plan);
    if (isChanging) changing++;
    if (problem !== null) failing++;
    const isWanted = only === 'all' || (only === 'changing' ? isChanging : problem !== null);
    if (!isWanted || met++ < offset || rows.length >= limit) continue;
    rows.push({
      id: product.id,
      title: product.title,
      thumbnail: faceUrl(product),
      lines:
        'after' in plan
          ? changeLines(product, plan.after, names)
          : 'deleted' in plan
            ? [{ label: 'Product', before: product.title, after: 'deleted' }]
            : [],
      notes: 'after' in plan ? [...(plan.notes ?? [])] : [],
      problem,
    });
  }
  return { total: products.length, changing, failing, rows };
}

/** Sources of plans, as the working copy has them. */
function sourcesOf({ db, working: { shop }, now }: Catalog): BulkSources {
  return { now, settings: shop.settings, sheets: shop.specSheets, nextFeaturedPlace: nextFeaturedPlace(db) };
}

/** Works out what doing something to products comes to. */
export async function prepareBulk(catalog: Catalog, request: BulkRequest, ids: readonly string[]): Promise<Prepared> {
  const sources = sourcesOf(catalog);
  const differences: ProductDifference[] = [];
  const products = new Map<string, Product>();
  let [met, failed] = [0, 0];
  for (const [i, id] of ids.entries()) {
    if (i % PLANNED_AT_ONCE === PLANNED_AT_ONCE - 1) await nextTurn();
    // It may have gone since it was picked.
    const product = catalog.working.products.get(id);
    if (!product) continue;
    met++;
    const plan = planOf(product, request, sources);
    if ('problem' in plan) failed++;
    if (!isChange(product, plan)) continue;
    if ('after' in plan) {
      differences.push(differenceOf(product, plan.after));
      products.set(id, plan.after);
    } else differences.push({ id, deleted: true });
  }
  const changed = differences.length;
  const done: Done = { did: 'bulk', request, count: changed };
  const same = met - changed - failed;
  const outcome = [
    changed === 0 ? 'Nothing changed' : doneWords(done),
    ...(same > 0 && changed > 0 ? [`${same} were so already`] : []),
    ...(failed > 0 ? [`${failed === 1 ? 'one' : failed} could not be changed`] : []),
  ].join('; ');
  return { work: changed > 0 ? { what: 'put', done, differences } : undefined, products, outcome };
}

/** Does something to many products, as one change. */
export async function runBulk(
  catalog: Catalog,
  user: UserId,
  { which, request }: BodyOf<typeof bulkRoutes.run>,
): Promise<Job> {
  refuseDeleted(catalog, request);
  const ids = productsOf(catalog, which).map(({ id }) => id);
  if (ids.length === 0) throw invalidField(['which'], refusals.pickAProduct);
  const prepare = () => prepareBulk(catalog, request, ids);
  return ids.length <= DONE_AT_ONCE
    ? catalog.jobs.atOnce(user, prepare)
    : catalog.jobs.start(bulkLabel(request, ids.length), ids.length, user, prepare);
}

/** Features products, behind those that are already, or ends it. */
export async function feature(
  catalog: Catalog,
  user: UserId,
  ids: readonly string[],
  featured: boolean,
): Promise<void> {
  const { work } = await prepareBulk(catalog, { do: 'featured', featured }, ids);
  if (work) catalog.jobs.doHere(work, user);
}
