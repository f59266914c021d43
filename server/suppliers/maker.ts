import { namesOf } from '../../core/model/fields';
import { languageName } from '../../core/model/languages';
import type { Product, Variant } from '../../core/model/product';
import { productFields } from '../../core/model/product-fields';
import {
  proposalBodySchema,
  proposedTexts,
  type ArrivedPicture,
  type Proposed,
  type ProposalBody,
} from '../../core/model/proposal';
import type { Supplier } from '../../core/model/supplier';
import { variantFields } from '../../core/model/variant-fields';
import { statusAt, type DatedStatus } from '../../core/products/status';
import { variantName } from '../../core/products/variants';
import { isSameName } from '../../core/shared/same-name';
import { faceUrl } from '../../core/storefront/card';
import { isNothing, onlyChanges, standsNow } from '../../core/suppliers/proposals';
import type { PlannedProduct } from '../../core/exchange/planned';
import type { makerRoutes } from '../../contract/maker';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { planPartly } from '../exchange/queries';
import { parse } from '../http/answer';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { cleanRichText } from '../shared/rich-text';
import type { Catalog } from '../state/catalog';
import { newVariant } from '../store/new-variant';
import type { SessionRow } from '../store/people';
import { putProposal, readProposal, readProposalsOf, readWaiting, type ProposalRecord } from '../store/proposals';
import { readSuppliers } from '../store/suppliers';
import { knownPictures } from '../media/known-pictures';
import { proposalAnswers, toldOf } from './proposals';
import { mainGoodsOf } from './queries';

/** Proposals that a maker is told of. */
const TOLD = 100;
/** The key under which the one variant of a new product is told. */
const NEW = 'new';

const seenOfProduct = namesOf(productFields, ({ makers }) => makers !== undefined);
const seenOfVariant = namesOf(variantFields, ({ makers }) => makers !== undefined);
const proposedOfVariant = new Set<string>(namesOf(variantFields, ({ makers }) => makers === 'propose'));
const proposedOfProduct = new Set<string>(namesOf(productFields, ({ makers }) => makers === 'propose'));

const standings: Record<DatedStatus, string> = {
  live: 'on the shop',
  draft: 'not on the shop yet',
  off: 'off the shop',
  waiting: 'on the shop soon',
  ended: 'off the shop',
};

/** The suppliers for which somebody speaks. */
const suppliersOf = ({ db }: Catalog, { suppliers }: SessionRow): Supplier[] =>
  readSuppliers(db).filter(({ id }) => suppliers?.includes(id));

interface OwnProduct {
  product: Product;
  supplier: Supplier;
}

const ownProducts = (catalog: Catalog, maker: SessionRow): OwnProduct[] =>
  suppliersOf(catalog, maker).flatMap((supplier) =>
    mainGoodsOf(catalog, supplier).map((product) => ({ product, supplier })),
  );

/** One of the goods of a maker. Whatever else is in the shop is as good as not there. */
function ownOrRefuse(catalog: Catalog, maker: SessionRow, id: string): OwnProduct {
  const product = catalog.working.products.get(id);
  const supplier = product && suppliersOf(catalog, maker).find(({ name }) => isSameName(name, product.supplier));
  if (!supplier) throw notFound(refusals.notYourGoods);
  return { product, supplier };
}

function languagesOf({ working }: Catalog, { languages }: SessionRow): string[] {
  const spoken = working.shop.settings.languages.others.map(({ locale }) => locale);
  return spoken.filter((locale) => languages?.includes(locale));
}

const pick = (thing: object, names: readonly string[]): Record<string, unknown> =>
  Object.fromEntries(names.map((name) => [name, thing[name as keyof typeof thing]]));

function stockOf({ working }: Catalog, { variants }: Product): number | null {
  const counted = variants.flatMap(({ id }) => working.stock.get(id) ?? []);
  return counted.length === 0 ? null : counted.reduce((sum, pieces) => sum + Math.max(0, pieces), 0);
}

const waitingOf = ({ db }: Catalog, maker: SessionRow): ProposalRecord[] =>
  readWaiting(db).filter(({ userId }) => userId === maker.userId);

/** All that a maker sees of the shop. */
export function makerOverview(catalog: Catalog, maker: SessionRow): AnswerOf<typeof makerRoutes.overview> {
  const { shop } = catalog.working;
  const waiting = new Set(waitingOf(catalog, maker).map(({ productId }) => productId));
  return {
    shopName: shop.settings.name,
    currency: shop.settings.currency,
    suppliers: suppliersOf(catalog, maker).map(({ id, name }) => ({ id, name })),
    languages: languagesOf(catalog, maker).map((locale) => ({ locale, name: languageName(locale, 'en') })),
    goods: ownProducts(catalog, maker)
      .map(({ product, supplier }) => ({
        id: product.id,
        title: product.title,
        thumbnail: faceUrl(product),
        supplier: supplier.name,
        standing: standings[statusAt(product, shop.now)],
        stock: stockOf(catalog, product),
        isWaiting: waiting.has(product.id),
      }))
      .sort((a, b) => a.title.localeCompare(b.title)),
    proposals: proposalAnswers(catalog, readProposalsOf(catalog.db, maker.userId, TOLD)),
  };
}

/** One of their goods, as far as it is theirs to see. */
export function makerGood(catalog: Catalog, maker: SessionRow, id: string): AnswerOf<typeof makerRoutes.good> {
  const { product, supplier } = ownOrRefuse(catalog, maker, id);
  const waiting = waitingOf(catalog, maker).find(({ productId }) => productId === id);
  const told = toldOf(catalog, id);
  return {
    id,
    supplierId: supplier.id,
    pictures: product.pictures.map(({ media, width, height, background }) => ({ media, width, height, background })),
    product: pick(product, seenOfProduct),
    variants: product.variants.map((variant) => ({
      id: variant.id,
      name: product.variants.length > 1 ? variantName(product.options, variant) : '',
      fields: pick({ ...variant, stock: catalog.working.stock.get(variant.id) ?? null }, seenOfVariant),
    })),
    texts: Object.fromEntries(
      languagesOf(catalog, maker).map((locale) => [
        locale,
        Object.fromEntries(proposedTexts.map((path) => [path, told(locale, path)])),
      ]),
    ),
    waiting: waiting ? { ...pickProposed(waiting.body), note: waiting.note } : null,
  };
}

const pickProposed = ({ product, variants, pictures, texts }: ProposalBody): Proposed => ({
  product,
  variants,
  pictures,
  texts,
});

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

interface Draft {
  supplierId: string;
  productId: string | null;
  body: ProposalBody;
  note: string;
}

/** What is proposed of one of their goods; undefined where nothing is other than it is. */
function draftOf(
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
function keep(catalog: Catalog, maker: SessionRow, drafts: readonly Draft[]): string[] {
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

/** What a new product begins with, and what is told of its one variant. */
function newDraft(catalog: Catalog, maker: SessionRow, supplierId: string, proposed: Proposed, note: string): Draft {
  if (!suppliersOf(catalog, maker).some(({ id }) => id === supplierId))
    throw invalidField(['supplierId'], refusals.noSuchSupplier);
  if (!proposed.product.title) throw invalidField(['product', 'title'], refusals.productNeedsTitle);
  const { [NEW]: fields = {} } = proposed.variants;
  if (fields.price === undefined) throw invalidField(['variants', NEW, 'price'], refusals.proposesPrice);
  const variant = newVariant([], { price: fields.price, cost: fields.cost ?? null });
  const body = {
    ...proposed,
    variants: { [variant.id]: fields },
    made: { options: [], variants: [variant] },
    was: {},
  };
  return { supplierId, productId: null, body, note };
}

/** Proposes a new product, or changes of one of their goods. Answers the id of the proposal. */
export function propose(
  catalog: Catalog,
  maker: SessionRow,
  { productId, supplierId, note, ...wanted }: BodyOf<typeof makerRoutes.propose>,
): string {
  const proposed = cleaned(catalog, maker, wanted);
  const draft =
    productId === null
      ? newDraft(catalog, maker, supplierId, proposed, note)
      : draftOf(catalog, ownOrRefuse(catalog, maker, productId), proposed, note);
  if (!draft) throw invalidField([], refusals.proposesNothing);
  return keep(catalog, maker, [draft])[0]!;
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

/** Of a product that a file makes, what makers may propose. */
function proposedOf(after: Product, texts: PlannedProduct['texts'], own: ReadonlySet<string>): Proposed {
  const told: Record<string, Record<string, string>> = {};
  for (const { locale, path, text } of texts) if (own.has(locale)) (told[locale] ??= {})[path] = text ?? '';
  return {
    product: pick(after, [...proposedOfProduct]),
    variants: Object.fromEntries(
      after.variants.map((variant: Variant) => [variant.id, pick(variant, [...proposedOfVariant])]),
    ),
    pictures: [] as ArrivedPicture[],
    texts: told,
  };
}

/** Proposes what a file says of their goods: known ones otherwise, and new ones. */
export async function importProposals(
  catalog: Catalog,
  maker: SessionRow,
  file: { name: string; content: Buffer },
): Promise<AnswerOf<typeof makerRoutes.importGoods>> {
  const own = new Map(ownProducts(catalog, maker).map((each) => [each.product.id, each]));
  const languages = new Set(languagesOf(catalog, maker));
  const supplier = suppliersOf(catalog, maker)[0];
  if (!supplier) throw notFound(refusals.noSuchSupplier);
  const { planned, refused, ignored } = await planPartly(catalog, file, {
    allows: ({ key, of, field, wording }) =>
      key === 'variant sku' ||
      key.startsWith('option ') ||
      (wording
        ? languages.has(wording.locale)
        : (of === 'variant' ? proposedOfVariant : proposedOfProduct).has(field ?? '')),
    owns: ({ id }) => own.has(id),
    foreign: refusals.notYourGoods,
  });
  const changed: Draft[] = [];
  const added: Draft[] = [];
  let same = 0;
  for (const { before, after, texts } of planned) {
    const known = before && own.get(before.id);
    const proposed = after && proposedOf(after, texts, languages);
    if (known && proposed) {
      const isKnown = new Set(known.product.variants.map(({ id }) => id));
      const variants = Object.fromEntries(Object.entries(proposed.variants).filter(([id]) => isKnown.has(id)));
      const draft = draftOf(catalog, known, { ...proposed, variants }, '');
      if (draft) changed.push(draft);
      else same++;
    } else if (proposed && !before) {
      const { options, variants } = after;
      const made = { options, variants: variants.map((variant) => ({ ...variant, stock: null })) };
      added.push({ supplierId: supplier.id, productId: null, body: { ...proposed, made, was: {} }, note: '' });
    } else same++;
  }
  const drafts = [...changed, ...added];
  if (drafts.length > 0) keep(catalog, maker, drafts);
  return {
    changed: changed.length,
    added: added.length,
    same,
    // The first row of a file is its head.
    refused: refused.map(({ row, message }) => ({ row: row + 2, message })),
    ignored,
  };
}
