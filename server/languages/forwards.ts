import { parse as parseCsv } from 'csv-parse/sync';
import type { BroughtForward, ForwardRow, searchedRoutes } from '../../contract/searched';
import type { AnswerOf, BodyOf, QueryOf } from '../../contract/route';
import { forwardPathSchema, type Forward } from '../../core/model/forward';
import { ownAddressSchema, type Link } from '../../core/model/target';
import { fold } from '../../core/shared/fold';
import { addressPath } from '../../core/shop/open-groups';
import type { Shop } from '../../core/shop/shop';
import { asTarget, circlesAmong, forwardProblem, ledFrom, nearestTo } from '../../core/storefront/forwards';
import { linkWords, targetLink } from '../../core/storefront/pages/targets';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { dropForward, putForward } from '../store/forwards';
import { dropMissed, readMissed } from '../store/shopper-counts';

const PAGE = 100;
const MOST_MISSED = 200;

/** All paths that forward: those of the table, and the addresses that things had before they were renamed. */
function rowsOf(shop: Shop): ForwardRow[] {
  const own = [...shop.forwards.values()].map(({ path, to, by }): ForwardRow => {
    const led = ledFrom(shop, path);
    return {
      path,
      to: to && { label: linkWords(shop, to), to },
      url: led && 'url' in led ? led.url : null,
      by,
      isFixed: false,
    };
  });
  const renamed = [...shop.redirects.values()].map(({ kind, slug, targetId }): ForwardRow => {
    const to: Link = { kind, id: targetId };
    const path = `/${addressPath[kind]}/${slug}`;
    return {
      path,
      to: { label: linkWords(shop, to), to },
      url: targetLink(shop, to)?.url ?? null,
      by: 'renamed',
      isFixed: true,
    };
  });
  return [...own, ...renamed].sort((a, b) => (a.path < b.path ? -1 : 1));
}

export function forwardsAnswer(
  { working: { shop } }: Catalog,
  { q = '', offset = 0 }: QueryOf<typeof searchedRoutes.forwards>,
): AnswerOf<typeof searchedRoutes.forwards> {
  const wanted = fold(q.trim());
  const rows = rowsOf(shop).filter(({ path, to }) => fold(`${path} ${to?.label ?? ''}`).includes(wanted));
  return { total: rows.length, forwards: rows.slice(offset, offset + PAGE) };
}

/** Writes forwards as one change. What they lead to is told by the shop, and a path that was missed is no longer. */
function write(catalog: Catalog, user: string, forwards: readonly Omit<Forward, 'by'>[], by: Forward['by']): void {
  const { db, working } = catalog;
  const done = { did: 'forwardsChanged', count: forwards.length } as const;
  catalog.journal.change(done, catalog.actor(user), () => {
    for (const { path, to } of forwards) putForward(db, { path, to: to && asTarget(working.shop, to), by });
  });
  for (const { path } of forwards) dropMissed(db, path);
}

export function setForward(
  catalog: Catalog,
  user: string,
  { path, to }: BodyOf<typeof searchedRoutes.setForward>,
): void {
  const problem = forwardProblem(catalog.working.shop, { path, to: to && asTarget(catalog.working.shop, to) });
  if (problem) throw invalidField([problem.at], problem.words);
  write(catalog, user, [{ path, to }], 'hand');
}

export function removeForward(catalog: Catalog, user: string, path: string): void {
  if (!catalog.working.shop.forwards.has(path)) throw invalidField(['path'], refusals.noSuchForward);
  catalog.journal.change({ did: 'forwardsChanged', count: 1 }, catalog.actor(user), () =>
    dropForward(catalog.db, path),
  );
}

/** The path of what is typed into a table: whole addresses of an older shop count by their path. */
function pathOf(typed: string): string | undefined {
  const plain = typed
    .trim()
    .replace(/^https?:\/\/[^/]+/i, '')
    .split(/[?#]/)[0]!;
  const read = forwardPathSchema.safeParse(plain);
  return read.success ? read.data : undefined;
}

/** What a table of two columns would change: old path, new address. An empty new address says that it is gone for good. */
export function bringForwards(
  { working: { shop } }: Catalog,
  text: string,
): AnswerOf<typeof searchedRoutes.bringForwards> {
  let rows: string[][];
  try {
    rows = parseCsv(text, { bom: true, delimiter: [',', ';', '\t'], relax_column_count: true, skip_empty_lines: true });
  } catch {
    throw invalidField(['text'], refusals.noTable);
  }
  const met = new Set<string>();
  return {
    forwards: rows.flatMap(([from = '', into = ''], i): BroughtForward[] => {
      const path = pathOf(from);
      // A first line with names of columns is no forward.
      if (path === undefined && i === 0 && !from.includes('/')) return [];
      const refused = (note: string): BroughtForward[] => [
        { path: from.slice(0, 200), to: null, label: into, what: 'refused', note },
      ];
      if (path === undefined) return refused(refusals.noPath);
      if (met.has(path)) return refused(refusals.pathTwice);
      met.add(path);
      const typed = into.trim();
      const address = typed === '' ? undefined : ownAddressSchema.safeParse(typed);
      if (address && !address.success) return refused(address.error.issues[0]!.message);
      const to = address ? asTarget(shop, { kind: 'address', url: address.data }) : null;
      const problem = forwardProblem(shop, { path, to });
      if (problem) return refused(problem.words);
      const before = shop.forwards.get(path);
      const isSame = before !== undefined && JSON.stringify(before.to) === JSON.stringify(to);
      const label = to ? linkWords(shop, to) : 'gone for good';
      return [{ path, to, label, what: isSame ? 'same' : before ? 'changed' : 'new', note: '' }];
    }),
  };
}

export function takeForwards(
  catalog: Catalog,
  user: string,
  { forwards }: BodyOf<typeof searchedRoutes.takeForwards>,
): number {
  const { shop } = catalog.working;
  const good = forwards.filter(({ path, to }) => forwardProblem(shop, { path, to }) === undefined);
  // Two lines of one table may make a circle that neither makes alone.
  const circles = circlesAmong(good);
  const taken = good.filter((forward) => !circles.includes(forward));
  if (taken.length > 0) write(catalog, user, taken, 'import');
  return taken.length;
}

/** Paths that were asked for in vain, each with what is nearest to it. */
export function missedAnswer(catalog: Catalog): AnswerOf<typeof searchedRoutes.missed> {
  const { db, working } = catalog;
  catalog.writeCounts();
  const { shop } = working;
  return {
    paths: readMissed(db, MOST_MISSED)
      .filter(({ path }) => !shop.forwards.has(path))
      .map((missed) => ({ ...missed, nearest: nearestTo(shop, missed.path) ?? null })),
  };
}
