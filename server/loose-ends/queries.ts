import { weightOf, type LooseEnd, type LooseScene } from '../../core/loose-ends/check';
import { checks } from '../../core/loose-ends/checks';
import { PALE } from '../../core/loose-ends/checks/pictures';
import type { Rule } from '../../core/model/rule';
import { membersOf } from '../../core/rules/members';
import { faceUrl } from '../../core/storefront/card';
import type { LooseCheck, looseEndRoutes } from '../../contract/loose-ends';
import type { AnswerOf } from '../../contract/route';
import { palePictures } from '../media/known-pictures';
import { plannedEditions } from '../publishing/queries';
import type { Catalog } from '../state/catalog';
import { exposure } from '../state/exposure';
import { fieldsUsed, goodsFields, supplyColumns } from '../state/goods-fields';
import { readAside } from '../store/loose-aside';
import { readPlanned } from '../store/planned';

/** Of each sort, so many are told one by one. */
const TOLD = 60;

function sceneOf(catalog: Catalog, lastBackup: string | null): LooseScene {
  const { working, now } = catalog;
  const { shop } = working;
  const { exposures } = exposure(catalog);
  return {
    shop,
    products: working.products,
    seen: (id) => exposures.products[shop.index.slot(id) ?? -1] ?? 0,
    matching: (node) => {
      const rule: Rule = { match: 'all', of: [node] };
      supplyColumns(catalog, fieldsUsed(rule));
      return membersOf(rule, shop.index, goodsFields(catalog), now)
        .toArray()
        .map((slot) => shop.index.id(slot));
    },
    pale: palePictures(catalog.db, PALE),
    now: catalog.clock().toISOString(),
    lastBackup,
    planned: plannedEditions(catalog).map(({ touched, ...planned }) => ({
      ...planned,
      touched: touched.map(({ title }) => title),
    })),
  };
}

const found = new WeakMap<Catalog, { state: string; ends: Map<string, LooseEnd[]> }>();

/** What each check finds, worked out once for each state of the working copy and hour. */
function findAll(catalog: Catalog, lastBackup: string | null): Map<string, LooseEnd[]> {
  const planned = readPlanned(catalog.db).map(({ id }) => id);
  const state = [catalog.working.shop.version, Math.floor(catalog.now / 3_600), lastBackup, ...planned].join();
  const known = found.get(catalog);
  if (known?.state === state) return known.ends;
  const scene = sceneOf(catalog, lastBackup);
  const ends = new Map(checks.map((check) => [check.key, check.find(scene)]));
  found.set(catalog, { state, ends });
  return ends;
}

const keyOf = (check: string, kind: string, key: string) => `${check} ${kind} ${key}`;

/** What is unfinished or odd, sort by sort, the weightiest first. */
export function looseEndsOf(catalog: Catalog, lastBackup: string | null): AnswerOf<typeof looseEndRoutes.all> {
  const now = catalog.clock().toISOString();
  const aside = new Map(readAside(catalog.db, now).map((row) => [keyOf(row.check, row.kind, row.key), row]));
  const all = findAll(catalog, lastBackup);
  const rows = checks.flatMap((check): LooseCheck[] => {
    const ends = (all.get(check.key) ?? []).map((end) => {
      const put = aside.get(keyOf(check.key, end.on.kind, end.on.key));
      const product = end.on.kind === 'product' ? catalog.working.shop.products.get(end.on.key) : undefined;
      return {
        ...end.on,
        words: end.words,
        share: end.share,
        thumbnail: product ? faceUrl(product) : null,
        aside: put ? { reason: put.reason, until: put.until } : null,
      };
    });
    if (ends.length === 0) return [];
    const open = ends.filter((end) => end.aside === null).sort((a, b) => b.share - a.share);
    const put = ends.filter((end) => end.aside !== null);
    const { key, label, about } = check;
    return [
      {
        key,
        label,
        about,
        count: open.length,
        aside: put.length,
        weight: open.reduce((sum, { share }) => sum + weightOf(check, share), 0),
        ends: [...open.slice(0, TOLD), ...put.slice(0, TOLD)],
        productIds: open.flatMap((end) => (end.kind === 'product' ? [end.key] : [])),
      },
    ];
  });
  rows.sort((a, b) => b.weight - a.weight);
  return { checks: rows, total: rows.reduce((sum, { count }) => sum + count, 0) };
}
