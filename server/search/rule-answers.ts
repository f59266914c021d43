import { FEATURED_FIRST } from '../../core/model/order';
import { statusAt } from '../../core/products/status';
import { Bitset } from '../../core/search/bitset';
import { arranged, orderFields, orderOf } from '../../core/shop/arrangement';
import { LISTED } from '../../core/shop/facts';
import { contributionsOf } from '../../core/rules/contributions';
import { explain } from '../../core/rules/explain';
import { operatorsFor, operatorWords, type FieldRegistry } from '../../core/rules/field';
import { membersOf } from '../../core/rules/members';
import { lacksOf } from '../../core/rules/near-miss';
import type { Rule } from '../../core/model/rule';
import { sentenceOf } from '../../core/rules/text/sentence';
import type { RuleField } from '../../contract/rule-field';
import type { AnswerOf, BodyOf } from '../../contract/route';
import type { ruleRoutes } from '../../contract/rules';
import type { Catalog } from '../state/catalog';
import { problemsOfRule } from '../groups/checks';
import { goodsRows } from '../products/queries';
import { productOrRefuse } from '../state/product-or-refuse';

/** Members, near misses and the like that are told one by one while a rule is tried. */
const MEMBERS = 60;
const SOME = 12;

/** What can be asked, for a builder of rules; with how many of the products in `within` each choice has, when given. */
export function ruleFields(fields: FieldRegistry, count?: (field: string, value: string) => number): RuleField[] {
  return [...fields.values()].map((field) => ({
    key: field.key,
    label: field.label,
    type: field.type,
    operators: operatorsFor(field).map((key) => ({ key, words: operatorWords[key] })),
    onVariant: field.readVariant !== undefined,
    choices: [...(field.choices ?? [])].map(([value, label]) => ({
      value,
      label,
      count: count ? count(field.key, value) : null,
    })),
    unit: field.unit ?? null,
    signed: field.signed ?? false,
    mayLack: field.mayLack ?? false,
  }));
}

export function knownFields(catalog: Catalog): AnswerOf<typeof ruleRoutes.fields> {
  const { shop } = catalog.working;
  const { listed, index, fields } = shop;
  const count = (field: string, value: string) =>
    (fields.get(field)!.setOf?.(value) ?? index.posting(field, value))?.countAnd(listed) ?? 0;
  return { fields: ruleFields(fields, count), orders: orderFields(shop) };
}

/** Words for why a product that a rule takes in is not among the goods all the same; '' for nothing. */
function although(catalog: Catalog, id: string, leftOut: readonly string[]): string {
  if (leftOut.includes(id)) return 'left out by hand';
  const { shop } = catalog.working;
  if (shop.facts(id)!.status.includes(LISTED)) return '';
  const phase = statusAt(shop.products.get(id)!, shop.now);
  return {
    draft: 'a draft, not on the shop yet',
    off: 'off the shop',
    waiting: 'waiting for its day',
    ended: 'past its day',
    live: 'sold out, and hidden while it is',
  }[phase];
}

const fromIds = (catalog: Catalog, ids: readonly string[]): Bitset => {
  const { index } = catalog.working.shop;
  const set = new Bitset(index.alive.size);
  for (const id of ids) {
    const slot = index.slot(id);
    if (slot !== undefined) set.add(slot);
  }
  return set;
};

/** Who a rule takes in now, what each of its conditions does, who it just misses, and what that changes against the live shop. */
export function tryRule(
  catalog: Catalog,
  { rule, order, pins, leftOut, collectionId }: BodyOf<typeof ruleRoutes.try>,
): AnswerOf<typeof ruleRoutes.try> {
  const { shop } = catalog.working;
  const { index, fields, listed } = shop;
  const { currency } = shop.settings;
  const { now } = catalog;
  const rows = (slots: readonly number[]) =>
    goodsRows(
      catalog,
      slots.map((slot) => index.id(slot)),
    );
  const some = (set: Bitset) => ({ total: set.count(), goods: rows(featuredFirst(set).slice(0, SOME)) });
  const featuredFirst = (set: Bitset) => arranged(shop, set, { pins: [], order: FEATURED_FIRST });
  const { members, parts, nearMisses } = contributionsOf(rule, index, fields, now, listed);
  const taken = members.clone().andNot(fromIds(catalog, leftOut));
  // A product that meets the whole rule and is not on the shop misses by that alone.
  const unlisted = membersOf(rule, index, fields, now).andNot(listed);
  const missed = nearMisses.clone().or(unlisted);
  return {
    total: taken.count(),
    goods: rows(arranged(shop, taken, { pins, order }).slice(0, MEMBERS)),
    parts,
    sentence: sentenceOf(rule, fields, currency),
    orderWords: orderOf(shop, order),
    problems: problemsOfRule(catalog, collectionId, rule),
    ...againstLive(catalog, collectionId, taken, some),
    nearMisses: {
      total: missed.count(),
      goods: rows(featuredFirst(missed).slice(0, SOME)).map((row) => {
        const reason = although(catalog, row.id, []);
        const lacks = lacksOf(rule, shop.facts(row.id)!, fields, now, currency).map(({ words }) => words);
        return { ...row, lacks: reason ? [reason] : lacks };
      }),
    },
    leftOut: goodsRows(catalog, leftOut),
  };
}

function againstLive(
  catalog: Catalog,
  collectionId: string | null,
  taken: Bitset,
  some: (set: Bitset) => { total: number; goods: ReturnType<typeof goodsRows> },
) {
  const { live, working } = catalog;
  if (collectionId === null || !live.shop.collections.has(collectionId)) return { joins: null, leaves: null };
  const before = new Bitset(working.shop.index.alive.size);
  live.shop.memberships.of(collectionId, catalog.now).forEach((slot) => {
    const here = working.shop.index.slot(live.shop.index.id(slot));
    if (here !== undefined) before.add(here);
  });
  return { joins: some(taken.clone().andNot(before)), leaves: some(before.clone().andNot(taken)) };
}

/** Why a rule takes one product in, or does not. */
export function whyInRule(
  catalog: Catalog,
  { rule, productId, leftOut }: { rule: Rule; productId: string; leftOut: readonly string[] },
): AnswerOf<typeof ruleRoutes.why> {
  const { shop } = catalog.working;
  const { id, title } = productOrRefuse(catalog, productId);
  const facts = shop.facts(id)!;
  const { currency } = shop.settings;
  const { isIn, reasons } = explain(rule, facts, shop.fields, catalog.now, currency);
  return {
    isIn,
    reasons: reasons.map(({ words, holds, actual, isTurned }) => ({ words, holds, actual, isTurned })),
    title,
    although: although(catalog, id, leftOut),
    lacks: lacksOf(rule, facts, shop.fields, catalog.now, currency).map(({ words }) => words),
  };
}
