import type { Option } from '../../core/model/product';
import { proposalBodySchema, type Proposed, type ProposalBody, type ProposedOption } from '../../core/model/proposal';
import { checkOptions, combinations } from '../../core/products/variants';
import { ALL_NEW, fieldsOfNew, newVariants } from '../../core/suppliers/new-good';
import { isNothing, onlyChanges, standsNow } from '../../core/suppliers/proposals';
import type { makerRoutes } from '../../contract/maker';
import type { BodyOf } from '../../contract/route';
import { parse } from '../http/answer';
import { knownPictures } from '../media/known-pictures';
import { newId } from '../shared/ids';
import { invalid, invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { cleanRichText } from '../shared/rich-text';
import type { Catalog } from '../state/catalog';
import { newVariant } from '../store/new-variant';
import type { SessionRow } from '../store/people';
import { putProposal, readProposal } from '../store/proposals';
import { readSuppliers } from '../store/suppliers';
import { languagesOf, ownOrRefuse, suppliersOf, waitingOf, type OwnProduct } from './maker';
import { toldOf } from './proposals';

/** What is asked for, as it would be stored: rich text clean, pictures as they arrived, languages those that are theirs. */
function cleaned(catalog: Catalog, maker: SessionRow, wanted: Partial<Proposed>): Proposed {
  const { product = {}, variants = {}, pictures = [], texts = {} } = wanted;
  const own = new Set(languagesOf(catalog, maker));
  for (const locale of Object.keys(texts))
    if (!own.has(locale)) throw invalidField(['texts', locale], refusals.notYourLanguage);
  const clean = (path: string, text: string) => (path === 'description' ? cleanRichText(text) : text.trim());
  return {
    product: Object.fromEntries(Object.entries(product).map(([name, text]) => [name, clean(name, text)])),
    variants,
    pictures: knownPictures(catalog.db, pictures),
    texts: Object.fromEntries(
      Object.entries(texts).map(([locale, paths]) => [
        locale,
        Object.fromEntries(Object.entries(paths).map(([path, text]) => [path, clean(path, text)])),
      ]),
    ),
  };
}

/** A proposal before it is kept. */
export interface Draft {
  supplierId: string;
  productId: string | null;
  body: ProposalBody;
  note: string;
}

/** What is proposed of one of their goods; undefined where nothing is other than it is. */
export function draftOf(
  catalog: Catalog,
  { product, supplier }: OwnProduct,
  proposed: Proposed,
  note: string,
): Draft | undefined {
  const told = toldOf(catalog, product.id);
  const known = new Set(product.variants.map(({ id }) => id));
  for (const id of Object.keys(proposed.variants))
    if (!known.has(id)) throw invalidField(['variants', id], refusals.gone('variant'));
  const changes = onlyChanges(proposed, product, told);
  if (isNothing(changes)) return undefined;
  const body = { ...changes, made: null, was: standsNow(changes, product, told) };
  return { supplierId: supplier.id, productId: product.id, body, note };
}

/** Keeps drafts as proposals; one of the same product that still waits is replaced. Answers their ids. */
export function keepDrafts(catalog: Catalog, maker: SessionRow, drafts: readonly Draft[]): string[] {
  const before = waitingOf(catalog, maker);
  const [first] = drafts;
  const names = new Map(readSuppliers(catalog.db).map(({ id, name }) => [id, name]));
  const name = `${maker.name} of ${names.get(first?.supplierId ?? '') ?? ''}`;
  const title = first?.body.product.title ?? catalog.working.products.get(first?.productId ?? '')?.title ?? '';
  const did = first?.productId === null ? ('newProposed' as const) : ('proposalMade' as const);
  const done =
    drafts.length === 1 ? { did, title, name } : { did: 'manyProposed' as const, name, count: drafts.length };
  const ids: string[] = [];
  catalog.journal.change(done, catalog.actor(maker.userId), () => {
    for (const draft of drafts) {
      const same = before.find(({ productId }) => productId !== null && productId === draft.productId);
      const id = same?.id ?? newId('proposal');
      ids.push(id);
      putProposal(catalog.db, {
        ...draft,
        body: parse<typeof proposalBodySchema>(proposalBodySchema, draft.body),
        id,
        userId: maker.userId,
        state: 'waiting',
        reply: '',
        madeAt: catalog.clock().toISOString(),
        answeredAt: null,
        answeredBy: null,
      });
    }
  });
  return ids;
}

/** Options as a product has them. */
const madeOptions = (options: readonly ProposedOption[]): Option[] =>
  options.map(({ name, values }) => ({
    id: newId('option'),
    name,
    listId: null,
    values: values.map((value) => ({ id: newId('optionValue'), name: value, swatch: null, pictureId: null })),
  }));

/** What a new product begins with, and what is told of its variants. */
function newDraft(catalog: Catalog, maker: SessionRow, { supplierId, proposed, note, options }: NewGood): Draft {
  if (!suppliersOf(catalog, maker).some(({ id }) => id === supplierId))
    throw invalidField(['supplierId'], refusals.noSuchSupplier);
  if (!proposed.product.title) throw invalidField(['product', 'title'], refusals.productNeedsTitle);
  const made = madeOptions(options);
  const problems = checkOptions(made);
  if (problems.length > 0) throw invalid(problems);
  const rows = newVariants(options);
  const known = new Set([ALL_NEW, ...rows.map(({ key }) => key)]);
  const unknown = Object.keys(proposed.variants).find((key) => !known.has(key));
  if (unknown !== undefined) throw invalidField(['variants', unknown], refusals.gone('variant'));
  const told = rows.map(({ key }) => fieldsOfNew(proposed.variants, key));
  const unpriced = rows.filter((_, i) => told[i]!.price === undefined);
  if (unpriced.length > 0)
    throw invalid(unpriced.map(({ key }) => ({ path: ['variants', key, 'price'], message: refusals.proposesPrice })));
  const values = combinations(made);
  const variants = told.map(({ price, cost }, i) => newVariant(values[i]!, { price: price!, cost: cost ?? null }));
  const body = {
    ...proposed,
    variants: Object.fromEntries(variants.map(({ id }, i) => [id, told[i]!])),
    made: { options: made, variants },
    was: {},
  };
  return { supplierId, productId: null, body, note };
}

/** A new product as a maker tells it. */
interface NewGood {
  supplierId: string;
  proposed: Proposed;
  note: string;
  options: readonly ProposedOption[];
}

/** Proposes a new product, or changes of one of their goods. Answers the id of the proposal. */
export function propose(
  catalog: Catalog,
  maker: SessionRow,
  { productId, supplierId, note, options = [], ...wanted }: BodyOf<typeof makerRoutes.propose>,
): string {
  const proposed = cleaned(catalog, maker, wanted);
  if (productId !== null && options.length > 0) throw invalidField(['options'], refusals.optionsOfNewOnly);
  const draft =
    productId === null
      ? newDraft(catalog, maker, { supplierId, proposed, note, options })
      : draftOf(catalog, ownOrRefuse(catalog, maker, productId), proposed, note);
  if (!draft) throw invalidField([], refusals.proposesNothing);
  return keepDrafts(catalog, maker, [draft])[0]!;
}

export function withdraw(catalog: Catalog, maker: SessionRow, id: string): void {
  const proposal = readProposal(catalog.db, id);
  if (proposal?.userId !== maker.userId || proposal.state !== 'waiting') throw notFound(refusals.proposalAnswered);
  const title = proposal.body.product.title ?? catalog.working.products.get(proposal.productId ?? '')?.title ?? '';
  catalog.journal.change({ did: 'proposalWithdrawn', title, name: maker.name }, catalog.actor(maker.userId), () =>
    putProposal(catalog.db, {
      ...proposal,
      state: 'withdrawn',
      answeredAt: catalog.clock().toISOString(),
      answeredBy: maker.userId,
    }),
  );
}
