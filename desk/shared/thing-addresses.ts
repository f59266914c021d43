import type { DocumentKind } from '../../core/model/document';
import { wordingOfKey } from '../../core/model/wording';

type Kind = DocumentKind;

/** What a thing is, in words. */
export const kindWords: Record<Kind, string> = {
  product: 'product',
  category: 'category',
  collection: 'collection',
  brand: 'brand',
  tag: 'tag',
  specSheet: 'spec sheet',
  page: 'page',
  offer: 'offer',
  embed: 'goods on another site',
  feed: 'feed',
  menu: 'menu',
  settings: 'settings',
  redirect: 'forwarding address',
  forward: 'forwarding address',
  chosenListing: 'listing for search engines',
  wording: 'translation',
  wordingDraft: 'draft of a translation',
};

const addresses: Partial<Record<Kind, (key: string) => string>> = {
  product: (key) => `/goods/${key}`,
  collection: (key) => `/groups/${key}`,
  page: (key) => `/shopfront?page=${key}`,
  menu: () => '/shopfront',
  category: (key) => `/groups/category/${key}`,
  brand: (key) => `/groups/brands/${key}`,
  tag: (key) => `/groups/tags/${key}`,
  settings: () => '/shopfront?view=settings',
  offer: (key) => `/prices/${key}`,
  embed: (key) => `/shopfront?view=elsewhere&embed=${key}`,
  feed: (key) => `/exchange?part=channels&feed=${key}`,
  wording: (key) => {
    const { locale, kind, id } = wordingOfKey(key);
    return `/words/${locale}?at=${kind}/${id}`;
  },
  forward: () => '/words?part=forwards',
  redirect: () => '/words?part=forwards',
  chosenListing: () => '/words?part=engines',
};

/** Where a thing is worked on; undefined for what has no place of its own. */
export const addressOf = ({ kind, key }: { kind: Kind; key: string }): string | undefined => addresses[kind]?.(key);
