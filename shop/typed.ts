import { withoutSummary } from '../core/storefront/without-summary';
import type { Typed } from '../contract/shop-window';
import type { ProductCard } from '../core/storefront/views';
import type { ProductView, VariantView } from '../core/storefront/views';
import type { ShopData } from './data';

/** Only what is really there: a field that is not typed in keeps what is saved. */
const over = <T extends object>(saved: T, typed: Partial<T>): T => ({
  ...saved,
  ...Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== undefined)),
});

function variantOver(variant: VariantView, price: number | undefined): VariantView {
  if (price === undefined) return variant;
  return variant.wasPrice === null ? { ...variant, price } : { ...variant, wasPrice: price };
}

function productOver(product: ProductView, { fields, prices }: Extract<Typed, { of: 'product' }>): ProductView {
  const variants = product.variants.map((variant) => variantOver(variant, prices[variant.id]));
  const crumbs = product.crumbs.map((crumb, i) =>
    i === product.crumbs.length - 1 && crumb.label === product.title && fields.title !== undefined
      ? { ...crumb, label: fields.title }
      : crumb,
  );
  const typed = over(product, fields);
  return { ...typed, description: withoutSummary(typed), crumbs, variants };
}

const cardOver = (card: ProductCard, { id, fields }: Extract<Typed, { of: 'product' }>): ProductCard =>
  card.id === id && fields.title !== undefined ? { ...card, title: fields.title } : card;

function pageOver(data: ShopData, typed: Typed): ShopData['page'] {
  const { page } = data;
  if (typed.of === 'product') {
    if (page.kind === 'product' && page.product.id === typed.id)
      return { ...page, product: productOver(page.product, typed) };
    if (page.kind === 'listing')
      return {
        ...page,
        listing: { ...page.listing, items: page.listing.items.map((card) => cardOver(card, typed)) },
      };
    if (page.kind === 'page') {
      const sections = page.page.sections.map((section) =>
        section.kind === 'strip' ? { ...section, items: section.items.map((card) => cardOver(card, typed)) } : section,
      );
      return { ...page, page: { ...page.page, sections } };
    }
  }
  if (typed.of === 'productPages' && page.kind === 'product' && !page.isOwn) return over(page, typed.fields);
  if (typed.of === 'listing' && page.kind === 'listing' && data.url.split('?')[0] === typed.url)
    return over(page, typed.fields);
  if (typed.of === 'page' && page.kind === 'page' && page.page.id === typed.id) return { ...page, page: typed.drawn };
  return page;
}

/** The data of a page with what is being typed in the desk drawn over it. */
export function withTyped(data: ShopData, typed: readonly Typed[]): ShopData {
  return typed.reduce(
    (now, each) =>
      each.of === 'shop' ? { ...now, shop: over(now.shop, each.fields) } : { ...now, page: pageOver(now, each) },
    data,
  );
}

const subjectOf = (typed: Typed) => ('id' in typed ? typed.id : 'url' in typed ? typed.url : typed.of);

function merged(before: Typed, now: Typed): Typed {
  // A page is drawn as a whole.
  if (now.of === 'page') return now;
  const known = before as unknown as Record<string, object>;
  const parts = Object.entries(now as unknown as Record<string, string | object>);
  return Object.fromEntries(
    parts.map(([name, part]) => [name, typeof part === 'object' ? over(known[name]!, part) : part]),
  ) as unknown as Typed;
}

/** What is typed now, over what was typed before and is saved perhaps: that stays drawn until fresh data is there. */
export function stillDrawn(before: readonly Typed[], now: readonly Typed[]): Typed[] {
  const all = new Map<string, Typed>();
  for (const typed of [...before, ...now]) {
    const known = all.get(subjectOf(typed));
    all.set(subjectOf(typed), known ? merged(known, typed) : typed);
  }
  return [...all.values()];
}
