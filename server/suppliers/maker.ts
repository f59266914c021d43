import { namesOf } from '../../core/model/fields';
import { languageName } from '../../core/model/languages';
import type { Product } from '../../core/model/product';
import { productFields } from '../../core/model/product-fields';
import { proposedTexts, type Proposed, type ProposalBody } from '../../core/model/proposal';
import type { Supplier } from '../../core/model/supplier';
import { variantFields } from '../../core/model/variant-fields';
import { statusAt, type DatedStatus } from '../../core/products/status';
import { variantName } from '../../core/products/variants';
import { isSameName } from '../../core/shared/same-name';
import { faceUrl } from '../../core/storefront/card';
import type { makerRoutes } from '../../contract/maker';
import type { AnswerOf } from '../../contract/route';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { stockOf } from '../state/outlook';
import type { SessionRow } from '../store/people';
import { readProposalsOf, readWaiting, type ProposalRecord } from '../store/proposals';
import { readSuppliers } from '../store/suppliers';
import { proposalAnswers, toldOf } from './proposals';
import { mainGoodsOf } from './queries';

/** Proposals that a maker is told of. */
const TOLD = 100;

const seenOfProduct = namesOf(productFields, ({ makers }) => makers !== undefined);
const seenOfVariant = namesOf(variantFields, ({ makers }) => makers !== undefined);
export const proposedOfVariant = new Set<string>(namesOf(variantFields, ({ makers }) => makers === 'propose'));
export const proposedOfProduct = new Set<string>(namesOf(productFields, ({ makers }) => makers === 'propose'));

const standings: Record<DatedStatus, string> = {
  live: 'on the shop',
  draft: 'not on the shop yet',
  off: 'off the shop',
  waiting: 'on the shop soon',
  ended: 'off the shop',
};

/** The suppliers for which somebody speaks. */
export const suppliersOf = ({ db }: Catalog, { suppliers }: SessionRow): Supplier[] =>
  readSuppliers(db).filter(({ id }) => suppliers?.includes(id));

export interface OwnProduct {
  product: Product;
  supplier: Supplier;
}

export const ownProducts = (catalog: Catalog, maker: SessionRow): OwnProduct[] =>
  suppliersOf(catalog, maker).flatMap((supplier) =>
    mainGoodsOf(catalog, supplier).map((product) => ({ product, supplier })),
  );

/** One of the goods of a maker. Whatever else is in the shop is as good as not there. */
export function ownOrRefuse(catalog: Catalog, maker: SessionRow, id: string): OwnProduct {
  const product = catalog.working.products.get(id);
  const supplier = product && suppliersOf(catalog, maker).find(({ name }) => isSameName(name, product.supplier));
  if (!supplier) throw notFound(refusals.notYourGoods);
  return { product, supplier };
}

export function languagesOf({ working }: Catalog, { languages }: SessionRow): string[] {
  const spoken = working.shop.settings.languages.others.map(({ locale }) => locale);
  return spoken.filter((locale) => languages?.includes(locale));
}

export const pick = (thing: object, names: readonly string[]): Record<string, unknown> =>
  Object.fromEntries(names.map((name) => [name, thing[name as keyof typeof thing]]));

export const waitingOf = ({ db }: Catalog, maker: SessionRow): ProposalRecord[] =>
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
