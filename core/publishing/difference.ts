import type { DocumentChange, FieldChange, PlaceChange } from './changes';
import type { SpecSheet } from '../model/spec-sheet';
import type { ChosenListing } from '../model/chosen-listing';
import type { Embed } from '../model/embed';
import type { Feed } from '../model/feed';
import type { Forward } from '../model/forward';
import type { Offer } from '../model/offer';
import type { Page } from '../model/page';
import type { Settings } from '../model/settings';
import type { Wording } from '../model/wording';
import { placeSet } from '../storefront/listing-view';
import { addressPath, groupsOf, isOpen, type GroupRef } from '../shop/open-groups';
import { sectionsOfPage } from '../storefront/pages/page-goods';
import { hasGoods, sectionName } from '../storefront/pages/sections/sections';
import { firstSlots } from '../storefront/pages/place-goods';
import { targetName } from '../storefront/pages/targets';
import type { Shop } from '../shop/shop';
import { canonicalJson } from '../shared/canonical-json';
import type { DocumentKind, ProductDocument, Redirect } from '../model/document';
import { arrangementOf, groupFields } from './group-words';
import { embedFields, feedFields } from './elsewhere-words';
import { menuChanges } from './menu-words';
import { chosenFields, forwardFields, wordingFields, wordingTitle } from './language-words';
import { offerFields } from './offer-words';
import { pageFields, sectionChanges } from './page-words';
import { settingsFields } from './settings-words';
import { opaqueFields, PRICE_OF, productFields } from './product-words';

type Bodies = Shop;

const kindMaps = {
  category: (shop: Bodies) => shop.categories,
  collection: (shop: Bodies) => shop.collections,
  brand: (shop: Bodies) => shop.brands,
  tag: (shop: Bodies) => shop.tags,
  specSheet: (shop: Bodies) => shop.specSheets,
  page: (shop: Bodies) => shop.pages,
  offer: (shop: Bodies) => shop.offers,
  embed: (shop: Bodies) => shop.embeds,
  feed: (shop: Bodies) => shop.feeds,
  redirect: (shop: Bodies) => shop.redirects,
  forward: (shop: Bodies) => shop.forwards,
  chosenListing: (shop: Bodies) => shop.chosen,
  wording: (shop: Bodies) => shop.wordings,
  wordingDraft: (shop: Bodies) => shop.wordingDrafts,
} as const;

/** The document of a kind and key as shoppers of this shop meet it; a product that is not live does not exist. */
function bodyIn(shop: Shop, kind: DocumentKind, key: string): object | undefined {
  if (kind === 'menu') return shop.menu;
  if (kind === 'settings') return shop.settings;
  if (kind === 'product') {
    const product = shop.products.get(key);
    return product?.status === 'live' ? product : undefined;
  }
  return kindMaps[kind](shop).get(key);
}

/** Where the prices of all variants were the same and are the same again, one line tells it. */
function joinPrices(changes: FieldChange[], variants: number): FieldChange[] {
  const prices = changes.filter(({ label }) => label.startsWith(PRICE_OF));
  const [first] = prices;
  const isOne = prices.every(({ before, after }) => before === first!.before && after === first!.after);
  if (!first || prices.length < variants || !isOne) return changes;
  return changes.flatMap((change) =>
    change === first ? [{ ...first, label: PRICE_OF.trim() }] : prices.includes(change) ? [] : [change],
  );
}

function fieldsOf(shop: Shop, kind: DocumentKind, body: object): Map<string, string> {
  switch (kind) {
    case 'product':
      return productFields(shop, body as ProductDocument);
    case 'page':
      return pageFields(shop, body as Page);
    case 'menu':
      return new Map();
    case 'category':
    case 'collection':
    case 'brand':
    case 'tag':
      return new Map(groupFields(shop, kind, (body as { id: string }).id));
    case 'offer':
      return offerFields(shop, body as Offer);
    case 'embed':
      return embedFields(shop, body as Embed);
    case 'feed':
      return feedFields(shop, body as Feed);
    case 'redirect':
      return new Map([['Forwards to', forwardWords(shop, body as Redirect)]]);
    case 'forward':
      return forwardFields(shop, body as Forward);
    case 'chosenListing':
      return chosenFields(shop, body as ChosenListing);
    case 'wording':
    case 'wordingDraft':
      return wordingFields(shop, body as Wording);
    case 'specSheet':
      return new Map([
        ['Name', (body as SpecSheet).name],
        [
          'Attributes',
          (body as SpecSheet).attributes.map(({ name, unit }) => (unit ? `${name} (${unit})` : name)).join(', '),
        ],
        ['Attribute details', JSON.stringify((body as SpecSheet).attributes)],
      ]);
    case 'settings':
      return settingsFields(shop, body as Settings);
  }
}

function forwardWords(shop: Shop, { kind, targetId }: Redirect): string {
  const title = kind === 'product' ? shop.products.get(targetId)?.title : targetName(shop, { kind, id: targetId });
  return title ?? 'something deleted';
}

/** Fields whose values mean nothing to a reader: only that they changed is told. */
const opaque: ReadonlySet<string> = new Set([...opaqueFields, 'Attribute details', 'Place', 'Picture']);

function fieldChanges(before: Map<string, string>, after: Map<string, string>): FieldChange[] {
  const changes: FieldChange[] = [];
  for (const label of new Set([...before.keys(), ...after.keys()])) {
    const [a, b] = [before.get(label) ?? '', after.get(label) ?? ''];
    if (a === b) continue;
    changes.push(
      opaque.has(label)
        ? { label, before: a && 'as before', after: b ? 'changed' : '' }
        : { label, before: a, after: b },
    );
  }
  return changes;
}

function titleOf(shop: Shop, kind: DocumentKind, body: object): string {
  if (kind === 'menu') return 'Menus';
  if (kind === 'settings') return 'Shop settings';
  if (kind === 'forward') return (body as Forward).path;
  if (kind === 'wording' || kind === 'wordingDraft') return wordingTitle(shop, body as Wording);
  if (kind === 'redirect') {
    const { kind: of, slug } = body as Redirect;
    return `/${addressPath[of]}/${slug}`;
  }
  return (body as { title?: string; name?: string }).title ?? (body as { name: string }).name;
}

/** What shoppers would notice of one document; undefined when it exists on neither side. */
export function documentChange(live: Shop, work: Shop, kind: DocumentKind, key: string): DocumentChange | undefined {
  const before = bodyIn(live, kind, key);
  const after = bodyIn(work, kind, key);
  if (!before && !after) return undefined;
  const title = titleOf(after ? work : live, kind, (after ?? before)!);
  if (!before) return { kind, key, title, what: 'new', fields: [] };
  if (!after) return { kind, key, title, what: 'gone', fields: [] };
  const changes = fieldChanges(fieldsOf(live, kind, before), fieldsOf(work, kind, after));
  if (kind === 'product')
    return {
      kind,
      key,
      title,
      what: 'changed',
      fields: joinPrices(changes, (after as ProductDocument).variants.length),
    };
  if (kind === 'menu') return { kind, key, title, what: 'changed', fields: menuChanges(live, work) };
  const sections = kind === 'page' ? sectionChanges([live, before as Page], [work, after as Page]) : [];
  return { kind, key, title, what: 'changed', fields: [...changes, ...sections] };
}

const SHOWN = 12;

/** The places of the storefront in which other products, or the same in another order, would stand. */
export function placeChanges(live: Shop, work: Shop, now: number): PlaceChange[] {
  const changes: PlaceChange[] = [];
  const ids = (shop: Shop, slots: readonly number[]) => slots.map((slot) => shop.index.id(slot));
  const compare = (
    place: Pick<PlaceChange, 'kind' | 'id' | 'title' | 'page'>,
    before: string[],
    after: string[],
    isOrderTold: boolean,
  ) => {
    // Most places are as they were, and both shops mostly keep their products in the same slots.
    if (before.length === after.length && before.every((id, i) => id === after[i])) return;
    const [old, next] = [new Set(before), new Set(after)];
    const joined = after.filter((id) => !old.has(id));
    const left = before.filter((id) => !next.has(id));
    const kept = after.filter((id) => old.has(id));
    const reordered = isOrderTold && before.filter((id) => next.has(id)).some((id, i) => id !== kept[i]);
    if (joined.length || left.length || reordered)
      changes.push({ ...place, joined, left, shown: after.slice(0, SHOWN), reordered });
  };
  const sectionsOf = (shop: Shop) =>
    [...shop.pages.values()].flatMap((page) =>
      sectionsOfPage(shop, page, now)
        .filter(({ section }) => hasGoods(section))
        .map(({ section, goods }) => ({ page, section, ids: ids(shop, goods.slots) })),
    );
  const before = new Map(sectionsOf(live).map(({ section, ids }) => [section.id, ids]));
  for (const { page, section, ids } of sectionsOf(work)) {
    const place = { kind: 'section', id: section.id, title: sectionName(work, section), page: page.title } as const;
    compare(place, before.get(section.id) ?? [], ids, true);
  }
  /** Products that shoppers meet at a listing; in its order where that is asked for, which costs more. */
  const goodsAt = (shop: Shop, at: GroupRef, inOrder: boolean): string[] => {
    if (!isOpen(shop, at)) return [];
    const slots = inOrder
      ? firstSlots(shop, at, Number.MAX_SAFE_INTEGER, now).slots
      : placeSet(shop, at, now).toArray();
    return ids(shop, slots);
  };
  for (const kind of ['collection', 'category', 'brand', 'tag'] as const)
    for (const [id, { name }] of groupsOf(work, kind)) {
      const at = { kind, id };
      const isOrderTold = isOtherwiseArranged(live, work, at);
      const [before, after] = [goodsAt(live, at, isOrderTold), goodsAt(work, at, isOrderTold)];
      compare({ kind, id, title: name, page: null }, before, after, isOrderTold);
    }
  return changes;
}

function isOtherwiseArranged(live: Shop, work: Shop, { kind, id }: GroupRef): boolean {
  const [before, after] = [groupsOf(live, kind).get(id), groupsOf(work, kind).get(id)];
  return (
    !!before && !!after && canonicalJson(arrangementOf(kind, before)) !== canonicalJson(arrangementOf(kind, after))
  );
}
