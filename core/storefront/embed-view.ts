import { z } from 'zod';
import { wordKeys } from '../languages/fixed/fixed-words';
import type { Embed } from '../model/embed';
import { productOnShop } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { toldIn } from './languages';
import { strip as stripPart } from './pages/sections/strip';
import type { SectionGoods } from './pages/sections/section-part';
import { productView } from './product-view';
import { relationStrips } from './relation-strips';
import { productCardSchema, productViewSchema } from './views';

/** Keys of what is said around goods on other sites begin so. */
const ELSEWHERE = 'elsewhere.';
const elsewhereKeys = wordKeys.filter((key) => key.startsWith(ELSEWHERE));

/** Goods beside another that are there already when it is opened. */
const MOST_RELATED = 4;

const embedProductSchema = productViewSchema
  .pick({
    id: true,
    slug: true,
    title: true,
    summary: true,
    description: true,
    url: true,
    brand: true,
    pictures: true,
    options: true,
    variants: true,
    pricing: true,
    specs: true,
    orderDelay: true,
  })
  .extend({
    /** it can be put into a basket there: nothing has to be chosen that only the shop can ask for */
    isPlain: z.boolean(),
    /** addresses of goods that go with it, are a step up, or like it */
    related: z.array(z.string()),
  });
export type EmbedProduct = z.infer<typeof embedProductSchema>;

/** All that a page elsewhere needs to show goods of the shop, and to open each of them, without asking again. */
export const embedViewSchema = z.object({
  id: z.string(),
  title: z.string(),
  subtitle: z.string(),
  emptyWords: z.string(),
  columns: z.number().int(),
  phoneColumns: z.number().int(),
  shape: z.enum(['grid', 'row']),
  /** parts of cards that are not shown */
  without: z.array(z.string()),
  look: z.object({
    accent: z.string(),
    ink: z.string(),
    ground: z.string().nullable(),
    type: z.enum(['page', 'plain', 'serif']),
    size: z.number(),
    corners: z.number(),
  }),
  basket: z.boolean(),
  shop: z.object({
    name: z.string(),
    locale: z.string(),
    currency: z.string(),
    /** what stands before the addresses of its pages: the language, where it is not the main one */
    base: z.string(),
  }),
  /** what is said around the goods, by key; {name} is filled in */
  words: z.record(z.string(), z.string()),
  cards: z.array(productCardSchema),
  /** by address: the goods on the cards, and those that they lead to */
  products: z.record(z.string(), embedProductSchema),
});
export type EmbedView = z.infer<typeof embedViewSchema>;

/** The goods of an embed in order, with the reason of each. */
export const embedGoods = (shop: Shop, { strip }: Embed): SectionGoods =>
  stripPart.goods!(shop, strip, { now: shop.now }, new Map());

function embedProduct(shop: Shop, id: string): EmbedProduct | undefined {
  const product = productOnShop(shop, id);
  if (!product) return undefined;
  const view = productView(shop, product);
  const related = relationStrips(shop, product, shop.now).flatMap(({ cards }) => cards.map(({ slug }) => slug));
  return {
    ...embedProductSchema.omit({ isPlain: true, related: true }).parse(view),
    isPlain: view.bundle === null && view.ownValue === undefined && view.pricing === 'shown',
    related: [...new Set(related)].slice(0, MOST_RELATED),
  };
}

/** What a page elsewhere shows of the shop. O(goods shown, and those beside them). */
export function embedView(main: Shop, embed: Embed): EmbedView {
  const { shop, base } = toldIn(main, embed.locale);
  const goods = embedGoods(shop, embed);
  const strip = stripPart.view(shop, embed.strip, { now: shop.now }, goods);
  const products = new Map<string, EmbedProduct>();
  const put = (id: string) => {
    const product = embedProduct(shop, id);
    if (product) products.set(product.slug, product);
    return product;
  };
  const shown = goods.slots.flatMap((slot) => put(shop.index.id(slot)) ?? []);
  for (const { related } of shown)
    for (const slug of related) {
      const id = shop.bySlug('product', slug);
      if (id !== undefined && !products.has(slug)) put(id);
    }
  const { name, locale, currency } = shop.settings;
  return {
    id: embed.id,
    title: strip.title,
    subtitle: strip.subtitle,
    emptyWords: strip.emptyWords,
    columns: strip.columns,
    phoneColumns: strip.phoneColumns,
    shape: strip.shape,
    without: strip.without,
    look: embed.look,
    basket: embed.basket,
    shop: { name, locale, currency, base },
    words: Object.fromEntries(elsewhereKeys.map((key) => [key.slice(ELSEWHERE.length), shop.say(key)])),
    cards: strip.items,
    products: Object.fromEntries(products),
  };
}
