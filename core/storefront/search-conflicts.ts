import { addressedKinds } from '../model/document';
import type { AddressedKind } from '../model/document';
import type { Target } from '../model/target';
import { plainText } from '../shared/plain-text';
import type { Shop } from '../shop/shop';
import { chosenGoods, chosenUrl, isChosenOpen } from './chosen-listings';
import { menuLinks } from './reach';
import { sitemapEntries } from './search-engines';
import { openTarget, targetName } from './pages/targets';

/** What can be done about a conflict at one click. */
type Mend = 'index' | 'noindex' | 'dropForward' | 'dropChosen' | 'none';

/** Two things that search engines are told and that contradict each other, or that help nobody. */
export interface SearchConflict {
  sort: 'redirected' | 'hiddenInMenu' | 'canonicalHidden' | 'sameTitle' | 'noGoods' | 'shortText' | 'untold';
  kind: AddressedKind | 'chosenListing' | 'forward';
  id: string;
  name: string;
  url: string;
  words: string;
  mend: Mend;
}

/** Fewer letters than these tell a search engine nothing. */
const SHORTEST_TEXT = 50;

const bodyOf = (shop: Shop, kind: AddressedKind, id: string) =>
  (
    ({
      product: shop.products,
      category: shop.categories,
      collection: shop.collections,
      brand: shop.brands,
      tag: shop.tags,
      page: shop.pages,
    }) as Record<
      AddressedKind,
      ReadonlyMap<string, { noindex: boolean; metaTitle: string; title?: string; name?: string }>
    >
  )[kind].get(id);

/** A page that search engines may show, as they show it. */
export interface ShownPage {
  kind: AddressedKind | 'chosenListing';
  id: string;
  url: string;
  title: string;
  description: string;
  /** all words that the seller wrote of it */
  text: string;
}

/** Everything that search engines may show, with its title and description. O(pages). */
export function shownPages(shop: Shop): ShownPage[] {
  return sitemapEntries(shop).flatMap(({ kind, id, url }): ShownPage[] => {
    if (kind === 'chosenListing') {
      const chosen = shop.chosen.get(id)!;
      const title = chosen.metaTitle || `${chosen.title} · ${shop.settings.name}`;
      return [{ kind, id, url, title, description: chosen.metaDescription || chosen.text, text: chosen.text }];
    }
    if (!(addressedKinds as readonly string[]).includes(kind)) return [];
    const body = bodyOf(shop, kind as AddressedKind, id) as unknown as Record<string, string> | undefined;
    if (!body) return [];
    const text = kind === 'product' ? `${body.summary} ${plainText(body.description ?? '')}` : (body.text ?? '');
    const name = body.title ?? body.name ?? '';
    const title = body.metaTitle || `${name} · ${shop.settings.name}`;
    const description = body.metaDescription || (kind === 'product' ? (body.summary ?? '') : text);
    return [{ kind: kind as AddressedKind, id, url, title, description, text }];
  });
}

/** What search engines are told that does not go together, each with what can be done about it. O(pages + links). */
export function searchConflicts(shop: Shop): SearchConflict[] {
  const conflicts: SearchConflict[] = [];
  const pages = shownPages(shop);
  const byUrl = new Map(pages.map((page) => [page.url, page]));
  for (const { path } of shop.forwards.values()) {
    const page = byUrl.get(path);
    if (page)
      conflicts.push({
        sort: 'redirected',
        kind: 'forward',
        id: path,
        name: path,
        url: path,
        words: 'A page stands here, and a forward says that it leads elsewhere. The page wins.',
        mend: 'dropForward',
      });
  }
  const linked = new Map<string, Target>();
  for (const link of menuLinks(shop)) {
    const target = openTarget(shop, link);
    if (target) linked.set(`${target.kind}:${target.id}`, target);
  }
  for (const { kind, id } of linked.values())
    if (bodyOf(shop, kind, id)?.noindex)
      conflicts.push({
        sort: 'hiddenInMenu',
        kind,
        id,
        name: targetName(shop, { kind, id }) ?? '',
        url: '',
        words: 'It stands in a menu, on every page, and is kept from search engines.',
        mend: 'index',
      });
  for (const chosen of shop.chosen.values()) {
    const at = { kind: 'chosenListing' as const, id: chosen.id, name: chosen.title, url: chosenUrl(chosen) };
    if (chosen.at && bodyOf(shop, chosen.at.kind, chosen.at.id)?.noindex)
      conflicts.push({
        sort: 'canonicalHidden',
        ...chosen.at,
        name: at.name,
        url: at.url,
        words: `It narrows “${targetName(shop, chosen.at) ?? ''}”, which is kept from search engines.`,
        mend: 'index',
      });
    if (!isChosenOpen(shop, chosen) || chosenGoods(shop, chosen) === 0)
      conflicts.push({ ...at, sort: 'noGoods', words: 'There are no goods in it.', mend: 'dropChosen' });
  }
  const byTitle = new Map<string, ShownPage[]>();
  for (const page of pages) {
    const all = byTitle.get(page.title);
    if (all) all.push(page);
    else byTitle.set(page.title, [page]);
  }
  for (const [title, all] of byTitle)
    if (all.length > 1)
      for (const { kind, id, url } of all.slice(1))
        conflicts.push({
          sort: 'sameTitle',
          kind,
          id,
          name: title,
          url,
          words: `Another page has the same title: ${all[0]!.url}`,
          mend: 'none',
        });
  for (const { kind, id, url, title, text } of pages)
    if (kind !== 'page' && kind !== 'product' && text.trim().length < SHORTEST_TEXT)
      conflicts.push({
        sort: 'shortText',
        kind,
        id,
        name: title,
        url,
        words: text.trim() === '' ? 'It has no text of its own.' : 'Its text is too short to say what it is about.',
        mend: 'noindex',
      });
  for (const { locale, isOn } of shop.main.settings.languages.others) {
    if (!isOn || shop !== shop.main) continue;
    const told = shop.inLanguage(locale);
    for (const { kind, id, url, title } of pages) {
      if (kind === 'brand' || kind === 'chosenListing') continue;
      const name = targetName(shop, { kind, id });
      if (kind !== 'product' && name !== undefined && targetName(told, { kind, id }) === name)
        conflicts.push({
          sort: 'untold',
          kind,
          id,
          name: title,
          url: `/${locale}${url === '/' ? '' : url}`,
          words: 'In this language it is told in the main one.',
          mend: 'none',
        });
    }
  }
  return conflicts;
}
