import type { Page } from '../model/page';
import type { Section } from '../model/sections/sections';
import type { Target } from '../model/target';
import type { Bitset } from '../search/bitset';
import { groupsOf, type GroupKind } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { pageSizeAt } from './listing-view';
import { filledSections } from './pages/page-goods';
import { pageOfGroup } from './pages/page-of-group';
import { firstSlots } from './pages/place-goods';
import { hasGoods, sectionName, sectionPlace, sectionSummary, whyUnseen } from './pages/sections/sections';
import { reachOf } from './reach';
import { whyGroupShut, whyPageShut } from './why-not-met';

/** A product on the floor plan, by its slot in the index. */
interface FloorGood {
  slot: number;
  /** 1 for the first of its place */
  position: number;
  isLit: boolean;
}

/** A part of a page on the floor plan: a section, or the goods of a group. */
interface FloorPart {
  /** id of the section; empty for the goods of a group */
  id: string;
  kind: Section['kind'] | 'goods';
  name: string;
  says: string;
  goods: FloorGood[];
  total: number;
  /** how many of those that it shows are lit */
  lit: number;
  warnings: string[];
  unseen: string | null;
}

/** A page of the shop on the floor plan. */
export interface FloorPlace {
  kind: Target['kind'];
  id: string;
  name: string;
  /** from the home page; null where no way leads */
  clicks: number | null;
  /** why shoppers do not see it, apart from there being no way */
  unseen: string | null;
  parts: FloorPart[];
  lit: number;
  /** products that stand on it more than once, by slot */
  repeats: number[];
}

const SHOWN = 12;
/** So many lit goods further back are drawn in place of the last ones. */
const LIT_BEHIND = 4;

/** The goods that are drawn of a place: the first, and lit ones from further back. */
function drawn(slots: readonly number[], lit: Bitset | null): FloorGood[] {
  const good = (slot: number, i: number): FloorGood => ({ slot, position: i + 1, isLit: lit?.has(slot) ?? false });
  const first = slots.slice(0, SHOWN).map(good);
  if (!lit || slots.length <= SHOWN) return first;
  const behind: FloorGood[] = [];
  for (let i = SHOWN; i < slots.length && behind.length < LIT_BEHIND; i++)
    if (lit.has(slots[i]!)) behind.push(good(slots[i]!, i));
  return [...first.slice(0, SHOWN - behind.length), ...behind];
}

const litAmong = (slots: readonly number[], lit: Bitset | null) =>
  lit ? slots.reduce((count, slot) => count + Number(lit.has(slot)), 0) : 0;

function partsOf(shop: Shop, page: Page, lit: Bitset | null): { parts: FloorPart[]; repeats: number[] } {
  const scene = { now: shop.now };
  const met = new Set<number>();
  const repeats = new Set<number>();
  const parts = filledSections(shop, page, scene).map(({ section, goods }): FloorPart => {
    const place = sectionPlace(shop, section);
    const slots = place ? firstSlots(shop, place, pageSizeAt(shop, place), shop.now).slots : goods.slots;
    const { says, warnings, available, faces } = sectionSummary(shop, section, scene, goods);
    const unseen = whyUnseen(shop, section, shop.now) ?? null;
    // Tiles stand for groups by faces, which are no goods of the page.
    const isOfGoods = hasGoods(section) || place !== undefined;
    if (isOfGoods && unseen === null)
      for (const slot of slots) {
        if (met.has(slot)) repeats.add(slot);
        met.add(slot);
      }
    const shown = isOfGoods ? slots : faces.flatMap((slot) => slot ?? []);
    return {
      id: section.id,
      kind: section.kind,
      name: sectionName(shop, section),
      says,
      goods: isOfGoods
        ? drawn(shown, lit)
        : shown.slice(0, SHOWN).map((slot, i) => ({ slot, position: i + 1, isLit: false })),
      total: available,
      lit: isOfGoods && unseen === null ? litAmong(slots, lit) : 0,
      warnings,
      unseen,
    };
  });
  return { parts, repeats: [...repeats] };
}

const kinds: readonly GroupKind[] = ['category', 'collection', 'brand', 'tag'];

/**
 * All pages of the shop with what stands on them, in the order of the clicks that lead there; those without a way come last.
 * Brands and tags only where they have a page. O(what is drawn, and of lit places what they hold).
 */
export function floorPlan(shop: Shop, lit: Bitset | null): FloorPlace[] {
  const { clicks } = reachOf(shop);
  const places: FloorPlace[] = [];
  const add = (place: Omit<FloorPlace, 'clicks' | 'lit'>) =>
    places.push({
      ...place,
      clicks: clicks.get(`${place.kind}:${place.id}`) ?? null,
      lit: place.parts.reduce((sum, part) => sum + part.lit, 0),
    });
  for (const page of shop.pages.values()) {
    if (page.standsOn.length > 0) continue;
    add({ kind: 'page', id: page.id, name: page.title, unseen: whyPageShut(shop, page), ...partsOf(shop, page, lit) });
  }
  for (const kind of kinds)
    for (const { id, name } of groupsOf(shop, kind).values()) {
      const at = { kind, id };
      const unseen = whyGroupShut(shop, at);
      if (unseen === 'not listed') continue;
      const { slots, total } = firstSlots(shop, at, lit ? Number.MAX_SAFE_INTEGER : SHOWN, shop.now);
      const page = pageOfGroup(shop, at);
      const around = page ? partsOf(shop, page, lit) : { parts: [], repeats: [] };
      const own: FloorPart = {
        id: '',
        kind: 'goods',
        name: 'All within',
        says: total > pageSizeAt(shop, at) ? `${total}, ${pageSizeAt(shop, at)} a page` : String(total),
        goods: drawn(slots, lit),
        total,
        lit: litAmong(slots, lit),
        warnings: total === 0 ? ['There are no goods in it.'] : [],
        unseen: null,
      };
      const at0 = around.parts.findIndex((part) => part.kind === 'listing');
      const parts = at0 < 0 ? [...around.parts, own] : around.parts.map((part, i) => (i === at0 ? own : part));
      add({ kind, id, name, unseen, parts, repeats: around.repeats });
    }
  const far = (place: FloorPlace) => place.clicks ?? Infinity;
  return places.sort((a, b) => far(a) - far(b));
}
