import type { Embed } from '../model/embed';
import { feedFormats, type Feed } from '../model/feed';
import { languageName } from '../model/languages';
import { strip as stripPart } from '../storefront/pages/sections/strip';
import { formatMoney } from '../shared/money';
import type { Shop } from '../shop/shop';
import { goodsWords } from './offer-words';

/** What a reader of the review is told of goods on other sites. */
export function embedFields(shop: Shop, { name, strip, look, basket, locale }: Embed): Map<string, string> {
  return new Map([
    ['Name', name],
    ...stripPart.fields(shop, strip),
    ['Colours', `${look.accent}, ${look.ink}, ${look.ground ?? 'the ground of the page'}`],
    [
      'Letters',
      `${{ page: 'those of the page', plain: 'plain', serif: 'with serifs' }[look.type]}, ${look.size} pixels`,
    ],
    ['Corners', `${look.corners} pixels`],
    ['Basket', basket ? 'yes' : 'no'],
    ['Language', languageName(locale || shop.settings.locale, 'en')],
  ]);
}

/** What a reader of the review is told of a feed. */
export function feedFields(shop: Shop, feed: Feed): Map<string, string> {
  const { currency, locale } = shop.settings;
  return new Map([
    ['Name', feed.name],
    ['Goods', goodsWords(shop, feed.goods)],
    ['An entry for each', feed.per === 'variants' ? 'variant' : 'product'],
    ['Format', feedFormats[feed.format].name],
    [
      'Fields',
      feed.fields.map(({ name, from, words }) => `${name}: ${from === 'words' ? `“${words}”` : from}`).join(', '),
    ],
    ['Prices', `${feed.dearer / 100} % and ${formatMoney(feed.more, currency, locale)} more`],
    ['Sold out', feed.soldOut ? 'told' : 'left out'],
    ['Channel', feed.channel ?? 'none'],
    ['Language', languageName(feed.locale || locale, 'en')],
  ]);
}
