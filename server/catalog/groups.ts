import type { Collection } from '../../core/catalog/group';
import { fold } from '../../core/catalog/identity';
import { list } from '../../core/finder/listing';
import { mediaUrl } from '../../core/placement/card';
import { firstSlots, stripSlots } from '../../core/placement/page-view';
import { placeSet } from '../../core/placement/listing-view';
import { waysTo } from '../../core/placement/where-it-shows';
import { checkRule } from '../../core/rules/check';
import { operatorsFor, operatorWords, type FieldRegistry } from '../../core/rules/field';
import { countEach, membersOf } from '../../core/rules/members';
import type { Rule } from '../../core/rules/rule';
import { sentenceOf } from '../../core/rules/sentence';
import type { deskRoutes } from '../../contract/desk';
import type { groupRoutes, Shelf } from '../../contract/groups';
import type { RuleField } from '../../contract/rule-field';
import type { shopfrontRoutes } from '../../contract/shopfront';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from './catalog';
import { goodsRows } from './goods';
import { collectionOrRefuse } from './group-writes';

/** Goods drawn on a shelf of the overview. */
const SHELF_LENGTH = 14;
/** Members shown while a rule is tried. */
const TRY_LENGTH = 60;

export function shelf(catalog: Catalog, collection: Collection, limit: number): Shelf {
  const { shop } = catalog.working;
  const isRule = collection.source === 'rule';
  const members = firstSlots(shop, { kind: 'collection', id: collection.id }, limit, catalog.now);
  // A shelf picked by hand shows drafts too: they were put there, and would be missed.
  const ids = isRule ? members.slots.map((slot) => shop.index.id(slot)) : collection.picked.slice(0, limit);
  return {
    ...collection,
    total: isRule ? members.total : collection.picked.length,
    goods: goodsRows(catalog, ids),
    sentence: isRule ? sentenceOf(collection.rule, shop.fields, shop.settings.currency) : '',
    problems: isRule ? checkRule(collection.rule, shop.fields) : [],
    ways: waysTo(shop, 'collection', collection.id),
  };
}

export function wholeShelf(catalog: Catalog, id: string): Shelf {
  return shelf(catalog, collectionOrRefuse(catalog, id), 500);
}

export function groupsOverview(catalog: Catalog): AnswerOf<typeof groupRoutes.overview> {
  const { shop, products } = catalog.working;
  const count = (facet: 'category' | 'brand' | 'tag', id: string) => shop.index.posting(facet, id)?.count() ?? 0;
  const byName = (a: { name: string }, b: { name: string }) => a.name.localeCompare(b.name);
  return {
    categories: shop.tree.flat().map(({ category, level }) => ({
      ...category,
      level,
      count: count('category', category.id),
      ways: waysTo(shop, 'category', category.id),
    })),
    uncategorised: [...products.values()].filter((product) => product.categoryIds.length === 0).length,
    shelves: [...shop.collections.values()].map((collection) => shelf(catalog, collection, SHELF_LENGTH)),
    brands: [...shop.brands.values()].map((brand) => ({ ...brand, count: count('brand', brand.id) })).sort(byName),
    tags: [...shop.tags.values()].map((tag) => ({ ...tag, count: count('tag', tag.id) })).sort(byName),
  };
}

export function ruleFields(fields: FieldRegistry): RuleField[] {
  return [...fields.values()].map((field) => ({
    key: field.key,
    label: field.label,
    type: field.type,
    operators: operatorsFor(field).map((key) => ({ key, words: operatorWords[key] })),
    onVariant: field.readVariant !== undefined,
    choices: [...(field.choices ?? [])].map(([value, label]) => ({ value, label })),
    unit: field.unit ?? null,
    signed: field.signed ?? false,
    mayLack: field.mayLack ?? false,
  }));
}

export function tryRule(catalog: Catalog, rule: Rule, sort: Collection['sort']): AnswerOf<typeof groupRoutes.tryRule> {
  const { shop } = catalog.working;
  const { now } = catalog;
  const { slots, total } = list(shop.index, {
    base: membersOf(rule, shop.index, shop.fields, now).and(shop.listed),
    sort,
    offset: 0,
    limit: TRY_LENGTH,
  });
  return {
    total,
    goods: goodsRows(
      catalog,
      slots.map((slot) => shop.index.id(slot)),
    ),
    counts: countEach(rule, shop.index, shop.fields, now, shop.listed),
    sentence: sentenceOf(rule, shop.fields, shop.settings.currency),
    problems: checkRule(rule, shop.fields),
  };
}

export function pagesOverview(catalog: Catalog): AnswerOf<typeof shopfrontRoutes.pages> {
  const { shop } = catalog.working;
  const { now } = catalog;
  const thumbnail = (slot: number) => {
    const face = shop.products.get(shop.index.id(slot))!.pictures[0];
    return face ? mediaUrl(face.media, 160) : null;
  };
  const pages = [...shop.pages.values()].sort((a, b) => Number(b.home) - Number(a.home));
  const notes = pages.flatMap((page) =>
    page.sections.map((section) => {
      const warnings: string[] = [];
      if (section.kind === 'tiles') {
        const found = section.categoryIds.filter((id) => shop.categories.has(id));
        const thumbnails = found.map(
          (id) => firstSlots(shop, { kind: 'category', id }, 1, now).slots.map(thumbnail)[0] ?? null,
        );
        if (found.length === 0) warnings.push('No category chosen yet, so shoppers see nothing here.');
        return { id: section.id, thumbnails, shown: found.length, available: found.length, warnings };
      }
      if (section.kind === 'banner') return { id: section.id, thumbnails: [], shown: 0, available: 0, warnings };
      const { slots, total } = stripSlots(shop, section, now);
      const missing = section.count - slots.length;
      if (!section.source) warnings.push('Choose what this strip shows.');
      else if (slots.length === 0) warnings.push('Nothing to show: shoppers do not see this strip.');
      else if (missing > 0) warnings.push(`${slots.length} of ${section.count}: nothing more to show.`);
      const bare = slots.filter((slot) => !shop.products.get(shop.index.id(slot))!.pictures[0]).length;
      if (bare > 0) warnings.push(bare === 1 ? 'One product has no picture.' : `${bare} products have no picture.`);
      const soldOut = slots.filter((slot) => shop.facts(shop.index.id(slot))!.stock === 0).length;
      if (soldOut > 0) warnings.push(soldOut === 1 ? 'One product is sold out.' : `${soldOut} products are sold out.`);
      return { id: section.id, thumbnails: slots.map(thumbnail), shown: slots.length, available: total, warnings };
    }),
  );
  return { pages, notes };
}

const FOUND = 8;

/** Products by text, then groups and pages whose name holds the words. */
export function findAnything(catalog: Catalog, q: string): AnswerOf<typeof deskRoutes.find>['found'] {
  const { shop } = catalog.working;
  const wanted = fold(q).trim().slice(0, 80);
  if (wanted === '') return [];
  const { slots } = list(shop.index, { text: q, sort: 'match', tieOrder: 'newest', offset: 0, limit: FOUND });
  const products = goodsRows(
    catalog,
    slots.map((slot) => shop.index.id(slot)),
  ).map((row) => ({
    kind: 'product' as const,
    id: row.id,
    label: row.title,
    note: row.brand ?? '',
    thumbnail: row.thumbnail,
  }));
  const named = <T>(things: Iterable<T>, nameOf: (thing: T) => string) =>
    [...things].filter((thing) => fold(nameOf(thing)).includes(wanted)).slice(0, 4);
  const counted = (set: { count(): number }) => `${set.count()} goods`;
  return [
    ...products,
    ...named(shop.categories.values(), ({ name }) => name).map(({ id, name }) => ({
      kind: 'category' as const,
      id,
      label: name,
      note: `category · ${counted(placeSet(shop, { kind: 'category', id }, catalog.now))}`,
      thumbnail: null,
    })),
    ...named(shop.collections.values(), ({ name }) => name).map(({ id, name }) => ({
      kind: 'collection' as const,
      id,
      label: name,
      note: `collection · ${counted(placeSet(shop, { kind: 'collection', id }, catalog.now))}`,
      thumbnail: null,
    })),
    ...named(shop.pages.values(), ({ title }) => title).map(({ id, title }) => ({
      kind: 'page' as const,
      id,
      label: title,
      note: 'page',
      thumbnail: null,
    })),
  ];
}
