import type { FieldChange } from './changes';
import { allItems, menuNames, menus, type Menu, type MenuItem, type MenuName } from '../model/menu';
import { momentWords } from '../shared/moment';
import type { Shop } from '../shop/shop';
import { linkWords } from '../storefront/pages/targets';

interface Placed {
  item: MenuItem;
  name: string;
  menu: MenuName;
  parent: MenuItem | null;
  /** the one before it below the same parent */
  before: MenuItem | null;
}

const nameOf = (shop: Shop, { label, target }: MenuItem) => label || (target ? linkWords(shop, target) : 'a heading');

function placed(shop: Shop, menu: Menu): Map<string, Placed> {
  const all = new Map<string, Placed>();
  const walk = (items: readonly MenuItem[], name: MenuName, parent: MenuItem | null) =>
    items.forEach((item, i) => {
      all.set(item.id, { item, name: nameOf(shop, item), menu: name, parent, before: items[i - 1] ?? null });
      walk(item.items, name, item);
    });
  for (const name of menuNames) walk(menu[name], name, null);
  return all;
}

/** The longest part of a list of numbers that is in order already. O(n log n). */
function inOrder(numbers: readonly number[]): Set<number> {
  const tails: number[] = [];
  const previous: number[] = [];
  numbers.forEach((number, i) => {
    let [low, high] = [0, tails.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (numbers[tails[middle]!]! < number) low = middle + 1;
      else high = middle;
    }
    previous[i] = low > 0 ? tails[low - 1]! : -1;
    tails[low] = i;
  });
  const kept = new Set<number>();
  for (let i = tails.at(-1) ?? -1; i >= 0; i = previous[i]!) kept.add(numbers[i]!);
  return kept;
}

/** Ids of items that stand elsewhere among those that stay below the same parent: as few as explain it. */
function movedIds(before: readonly MenuItem[], after: readonly MenuItem[]): Set<string> {
  const places = new Map(before.map(({ id }, i) => [id, i]));
  const stayed = after.filter(({ id }) => places.has(id));
  const kept = inOrder(stayed.map(({ id }) => places.get(id)!));
  return new Set(stayed.filter(({ id }) => !kept.has(places.get(id)!)).map(({ id }) => id));
}

function fieldsOf(shop: Shop, item: MenuItem): [string, string][] {
  const day = (moment: string | null) => (moment ? momentWords(moment, shop.settings.timeZone) : '');
  return [
    ['Leads to', item.target ? linkWords(shop, item.target) : 'nothing, a heading'],
    ['All below its category', item.withChildren ? 'yes' : ''],
    ['Hidden', item.hidden ? 'yes' : ''],
    ['Seen from', day(item.from)],
    ['Seen until', day(item.until)],
    ['Picture', item.picture?.media.slice(0, 6) ?? ''],
  ];
}

const standsWords = (shop: Shop, { parent, menu }: Placed) =>
  parent ? `below ${nameOf(shop, parent)}` : `in ${menus[menu].words}`;

/** What changed about the menus, item by item: who came, who went, what is called or stands otherwise now. */
export function menuChanges(live: Shop, work: Shop): FieldChange[] {
  const [old, now] = [placed(live, live.menu), placed(work, work.menu)];
  const changes: FieldChange[] = [];
  for (const [id, was] of old)
    if (!now.has(id)) changes.push({ label: was.name, before: standsWords(live, was), after: '' });
  const lists = (menu: Menu) =>
    new Map<string, readonly MenuItem[]>([
      ...menuNames.map((name): [string, readonly MenuItem[]] => [name, menu[name]]),
      ...allItems(menu).map((item): [string, readonly MenuItem[]] => [item.id, item.items]),
    ]);
  const [oldLists, lists2] = [lists(live.menu), lists(work.menu)];
  const moved = new Set([...lists2].flatMap(([key, items]) => [...movedIds(oldLists.get(key) ?? [], items)]));
  for (const [id, is] of now) {
    const was = old.get(id);
    if (!was) {
      changes.push({ label: is.name, before: '', after: `new ${standsWords(work, is)}` });
      continue;
    }
    if (was.name !== is.name) changes.push({ label: 'Name in the menu', before: was.name, after: is.name });
    const [from, to] = [standsWords(live, was), standsWords(work, is)];
    if (was.parent?.id !== is.parent?.id || was.menu !== is.menu)
      changes.push({ label: `${is.name}: Place`, before: from, after: to });
    else if (moved.has(id)) {
      const after = (one: Placed, shop: Shop) => (one.before ? `after ${nameOf(shop, one.before)}` : 'first');
      changes.push({ label: `${is.name}: Place`, before: after(was, live), after: after(is, work) });
    }
    const a = fieldsOf(live, was.item);
    fieldsOf(work, is.item).forEach(([label, words], i) => {
      if (a[i]![1] !== words) changes.push({ label: `${is.name}: ${label}`, before: a[i]![1], after: words });
    });
  }
  return changes;
}
