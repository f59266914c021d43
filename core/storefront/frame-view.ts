import { usualCardLook, type CardPart } from '../model/card-choices';
import type { Cards } from '../model/cards';
import type { Look } from '../model/look';
import type { Contact } from '../model/shop-contact';
import type { Settings } from '../model/settings';
import { wordsOfPages } from '../languages/fixed/fixed-words';
import type { Shop } from '../shop/shop';
import { linkView } from './pages/targets';
import type { PictureView } from './views';

type Sign = Pick<PictureView, 'media' | 'alt' | 'width' | 'height'>;

/** How cards are drawn on every page. */
export type CardLook = { parts: readonly CardPart[] } & Pick<Cards, 'price' | 'frame'>;

/** What every page of the shop has around it. */
export interface FrameView {
  name: string;
  tagline: string;
  locale: string;
  currency: string;
  look: Look;
  logo?: Sign;
  logoOnDark?: Sign;
  logoHeight?: number;
  icon?: Sign;
  shared?: Sign;
  notice?: { text: string; url: string | null };
  social?: Contact['social'];
  /** left out where cards are as usual */
  cards?: CardLook;
  /** words that the seller put in place of fixed ones, by their paths */
  words?: Record<string, string>;
}

const sign = (picture: Settings['signs']['logo'], name: string): Sign | undefined =>
  picture
    ? { media: picture.media, alt: picture.alt || name, width: picture.width, height: picture.height }
    : undefined;

export const cardLook = ({ parts, price, frame }: Cards): CardLook => ({ parts, price, frame });
const usualText = JSON.stringify(usualCardLook);

/** The frame of a shop. What it does not have is left out, since it is a part of every page. */
export function frameView(shop: Shop): FrameView {
  const { name, tagline, locale, currency, look, signs, notice, contact, cards } = shop.settings;
  const [logo, logoOnDark] = [sign(signs.logo, name), sign(signs.logoOnDark, name)];
  const drawn = cardLook(cards);
  const words = wordsOfPages(shop.ownWords);
  return {
    name,
    tagline,
    locale,
    currency,
    look,
    ...(logo && { logo, logoHeight: signs.logoHeight }),
    ...(logoOnDark && { logoOnDark }),
    ...((signs.icon || signs.logo) && { icon: sign(signs.icon ?? signs.logo, name) }),
    ...(signs.shared && { shared: sign(signs.shared, name) }),
    ...(notice.text && {
      notice: { text: notice.text, url: (notice.link && linkView(shop, notice.link, '')?.url) ?? null },
    }),
    ...(contact.social.length > 0 && { social: contact.social }),
    ...(JSON.stringify(drawn) !== usualText && { cards: drawn }),
    ...(Object.keys(words).length > 0 && { words }),
  };
}
