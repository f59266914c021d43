import Database from 'better-sqlite3';
import itemsjs from 'itemsjs';
import type { FinderEntry } from '../core/search/entry';
import { facets, type BenchQuery } from './queries';

/** Another way to answer the same listing queries. */
export interface Peer {
  name: string;
  ask: (query: BenchQuery) => number;
}

const valuesOf = (entry: FinderEntry, facet: string) => [
  ...new Set([
    ...entry.values.filter(([f]) => f === facet).map(([, v]) => v),
    ...entry.variants.flatMap((variant) => variant.values.filter(([f]) => f === facet).map(([, v]) => v)),
  ]),
];

const orderBy = {
  featured: 'featured DESC, created DESC',
  newest: 'created DESC',
  'price-up': 'price',
  title: 'title',
};

/** SQLite with FTS5 for words and GROUP BY for counts; filters on variants are taken over the union, so not exact. */
export function sqlitePeer(entries: readonly FinderEntry[]): Peer {
  const db = new Database(':memory:');
  db.exec(`
    CREATE TABLE item (id INTEGER PRIMARY KEY, title TEXT, price INTEGER, created INTEGER, featured INTEGER);
    CREATE TABLE item_value (facet TEXT, value TEXT, item INTEGER, PRIMARY KEY (facet, value, item)) WITHOUT ROWID;
    CREATE INDEX item_price ON item (price);
    CREATE VIRTUAL TABLE words USING fts5 (text, content='', prefix='1 2 3');
    CREATE TEMP TABLE hit (id INTEGER PRIMARY KEY)`);
  db.transaction(() => {
    const item = db.prepare('INSERT INTO item VALUES (?, ?, ?, ?, ?)');
    const value = db.prepare('INSERT OR IGNORE INTO item_value VALUES (?, ?, ?)');
    const words = db.prepare('INSERT INTO words (rowid, text) VALUES (?, ?)');
    entries.forEach((entry, i) => {
      const { price, created, featured } = entry.numbers;
      item.run(i, entry.title, price, created, featured);
      words.run(i, entry.texts.map(({ text }) => text).join(' '));
      for (const facet of facets) for (const each of valuesOf(entry, facet)) value.run(facet, each, i);
    });
  })();
  db.exec('CREATE INDEX value_of_item ON item_value (item, facet, value); ANALYZE');
  const where = (query: BenchQuery, without?: string) => {
    const parts: string[] = [];
    const values: unknown[] = [];
    const words = query.text.match(/[\p{L}\p{N}]+/gu);
    if (words) {
      parts.push(`id IN (SELECT rowid FROM words WHERE words MATCH ?)`);
      values.push(words.map((word) => `"${word}"*`).join(' '));
    }
    for (const [facet, chosen] of Object.entries(query.filters)) {
      if (facet === without) continue;
      parts.push(
        `id IN (SELECT item FROM item_value WHERE facet = ? AND value IN (${chosen.map(() => '?').join(',')}))`,
      );
      values.push(facet, ...chosen);
    }
    if (query.price && without !== 'price') {
      parts.push('price BETWEEN ? AND ?');
      values.push(query.price.min, query.price.max);
    }
    return { sql: parts.length ? `WHERE ${parts.join(' AND ')}` : '', values };
  };
  return {
    name: 'SQLite + FTS5',
    ask: (query) => {
      const fill = (without?: string) => {
        const { sql, values } = where(query, without);
        db.exec('DELETE FROM hit');
        db.prepare(`INSERT INTO hit SELECT id FROM item ${sql}`).run(...values);
      };
      fill();
      const total = db.prepare('SELECT count(*) FROM hit').pluck().get() as number;
      db.prepare(`SELECT item.* FROM hit JOIN item USING (id) ORDER BY ${orderBy[query.sort]} LIMIT 24`).all();
      db.prepare('SELECT facet, value, count(*) FROM hit JOIN item_value ON item = id GROUP BY facet, value').all();
      for (const facet of Object.keys(query.filters)) {
        fill(facet);
        db.prepare('SELECT value, count(*) FROM hit JOIN item_value ON item = id WHERE facet = ? GROUP BY value').all(
          facet,
        );
      }
      return total;
    },
  };
}

/** itemsjs with its own text search; filters on variants over the union, price by a filter function. */
export function itemsjsPeer(entries: readonly FinderEntry[]): Peer {
  const items = entries.map((entry, i) => ({
    id: i + 1,
    title: entry.title,
    text: entry.texts.map(({ text }) => text).join(' '),
    ...entry.numbers,
    ...Object.fromEntries(facets.map((facet) => [facet.replace('.', '_'), valuesOf(entry, facet)])),
  }));
  const engine = itemsjs(
    items as never,
    {
      sortings: {
        featured: { field: ['featured', 'created'], order: ['desc', 'desc'] },
        newest: { field: 'created', order: 'desc' },
        'price-up': { field: 'price', order: 'asc' },
        title: { field: 'title', order: 'asc' },
      },
      aggregations: Object.fromEntries(
        facets.map((facet) => [facet.replace('.', '_'), { conjunction: false, size: 1_000 }]),
      ),
      searchableFields: ['text'],
    } as never,
  );
  return {
    name: 'itemsjs',
    ask: (query) => {
      const filters = Object.fromEntries(
        Object.entries(query.filters).map(([facet, values]) => [facet.replace('.', '_'), values]),
      );
      const { price } = query;
      const result = engine.search({
        per_page: 24,
        sort: query.sort,
        query: query.text,
        filters,
        ...(price ? { filter: (item: { price: number }) => item.price >= price.min && item.price <= price.max } : {}),
      } as never) as { pagination: { total: number } };
      return result.pagination.total;
    },
  };
}
