import Database from 'better-sqlite3';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { DocumentKind, ShopDocument } from '../../../core/model/document';
import { documentBody } from '../../../core/publishing/document-text';
import { canonicalJson } from '../../../core/shared/canonical-json';
import { nameKey } from '../../../core/shared/name-key';
import { Catalog } from '../../state/catalog';
import { review } from '../../publishing/review';
import { written } from '../../../core/history/done';
import { serialise } from '../stored-form';
import { columnsOf, installJournal, journaledTables } from '../journal-triggers';

const migrations = readdirSync(join(__dirname, '..', 'migrations')).sort();
/** Versions of before the one that this program writes. */
const versions = migrations.slice(0, -1).map((name) => Number(name.slice(0, 3)));

const AT = '2026-05-01T10:00:00.000Z';

/** The documents that a shop of this fixture put live, as versions of that time wrote them. */
const documents: [kind: string, key: string, body: object][] = [
  [
    'settings',
    'shop',
    {
      name: 'Old kites',
      tagline: '',
      currency: 'EUR',
      taxRate: 2100,
      taxIncluded: true,
      timeZone: 'Europe/Amsterdam',
      locale: 'en',
    },
  ],
  ['brand', 'b_tern00', { id: 'b_tern00', name: 'Tern', slug: 'tern' }],
  ['tag', 't_windy0', { id: 't_windy0', name: 'Windy', slug: 'windy' }],
  ['category', 'c_kites0', { id: 'c_kites0', parentId: null, position: 0, name: 'Kites', slug: 'kites', text: '' }],
  [
    'category',
    'c_delta0',
    { id: 'c_delta0', parentId: 'c_kites0', position: 0, name: 'Deltas', slug: 'deltas', text: '' },
  ],
  [
    'product',
    'p_delta0',
    {
      id: 'p_delta0',
      kind: 'physical',
      title: 'Harrier',
      summary: '',
      description: '',
      slug: 'harrier',
      standing: 'live',
      featured: false,
      brandId: 'b_tern00',
      categoryIds: ['c_delta0'],
      tagIds: ['t_windy0'],
      created: AT,
      pictures: [],
      options: [{ id: 'o_colour', name: 'Colour', values: [{ id: 'w_ember0', name: 'Rosé', swatch: null }] }],
      variants: [{ id: 'v_ember0', values: ['w_ember0'], sku: 'H-1', price: 6400, salePrice: null, pictureId: null }],
    },
  ],
  [
    'collection',
    'k_light0',
    {
      id: 'k_light0',
      name: 'Light',
      slug: 'light',
      text: '',
      source: 'rule',
      picked: [],
      sort: 'newest',
      rule: {
        match: 'all',
        of: [
          { field: 'cost', is: 'below', value: 5000 },
          { field: 'option.colour', is: 'anyOf', value: ['rose'] },
          { field: 'standing', is: 'anyOf', value: ['live'] },
        ],
      },
    },
  ],
  [
    'page',
    'g_home00',
    {
      id: 'g_home00',
      title: 'Home',
      slug: 'home',
      home: true,
      sections: [
        { id: 's_strip0', kind: 'strip', title: 'Light', source: { kind: 'collection', id: 'k_light0' }, count: 4 },
      ],
    },
  ],
  ['menu', 'shop', { items: [{ id: 'm_kites0', label: '', target: { kind: 'category', id: 'c_kites0' }, items: [] }] }],
];

/** Since this version editions hold redirects and costs too, and rules name values by keys that tell “Rosé” from “Rose”. */
const TRUE_EDITIONS = 11;
const redirect: (typeof documents)[number] = [
  'redirect',
  'product/old-harrier',
  { kind: 'product', slug: 'old-harrier', targetId: 'p_delta0' },
];
const asTrueEdition = (document: (typeof documents)[number]) =>
  JSON.parse(
    JSON.stringify(document)
      .replace('"rose"', JSON.stringify(nameKey('Rosé')))
      .replace('"sku"', '"cost":3000,"sku"'),
  ) as typeof document;
const documentsOf = (version: number) =>
  version < TRUE_EDITIONS ? documents : [...documents.map(asTrueEdition), redirect];

/** Since this version collections have sizes of which the seller is warned. */
const SIZES = 10;
/** Since this version changes hold what was done, not its words, and editions leave out what only the seller knows. */
const DONE = 12;

/** Since this version fields have the names that the trade has for them. */
const PLAIN_NAMES = 13;
const oldNames = (json: string) =>
  json.replace('"status":', '"standing":').replace('"field":"status"', '"field":"standing"');
const newNames = (json: string) =>
  json.replace('"standing":', '"status":').replace('"field":"standing"', '"field":"status"');

/** Since this version a banner holds slides, and tiles lead to anything. */
const SHAPES = 15;
const deltas = { id: 'c_delta0', kind: 'category' };
const sectionsAt = (version: number): ({ id: string; kind: string } & Record<string, unknown>)[] =>
  version < SHAPES
    ? [
        { id: 's_banner', kind: 'banner', title: 'Fly', text: 'Now', link: deltas },
        { id: 's_tiles0', kind: 'tiles', title: '', categoryIds: ['c_delta0'] },
      ]
    : [
        {
          id: 's_banner',
          kind: 'banner',
          slides: [{ title: 'Fly', text: 'Now', pictureOf: deltas, buttons: [{ words: '', to: deltas }] }],
        },
        { id: 's_tiles0', kind: 'tiles', title: '', targets: [deltas] },
      ];

const namesAt = (version: number) => (version < PLAIN_NAMES ? (json: string) => json : newNames);

/** A document as a program of that version wrote it. */
function textAt(version: number, kind: DocumentKind, key: string, body: object): string {
  const page = kind === 'page' ? (body as { sections: object[] }) : undefined;
  let text = canonicalJson(page ? { ...page, sections: [...page.sections, ...sectionsAt(version)] } : body);
  if (version >= TRUE_EDITIONS)
    text = oldNames(serialise({ kind, key, body: documentBody(kind, newNames(text)) } as ShopDocument).text);
  const hasSizes = kind === 'collection' && version >= SIZES && version < DONE;
  if (hasSizes) text = canonicalJson({ ...(JSON.parse(text) as object), fewest: 2 });
  return namesAt(version)(text);
}

/** A database as a program of that version left it: goods, groups, a page, changes that can be undone, one edition. */
function fixture(folder: string, version: number): void {
  const db = new Database(join(folder, 'dispona.sqlite'));
  db.pragma('foreign_keys = ON');
  for (const name of migrations.filter((each) => Number(each.slice(0, 3)) <= version))
    db.exec(readFileSync(join(__dirname, '..', 'migrations', name), 'utf8'));
  db.pragma(`user_version = ${version}`);
  installJournal(
    db,
    journaledTables.filter(({ name }) => columnsOf(db, name).all.length > 0),
  );
  db.prepare(`INSERT INTO user (id, email, name, password) VALUES ('u_kim000', 'kim@example.com', 'Kim', '')`).run();
  const change = (id: number, sql: string) =>
    db.transaction(() => {
      db.prepare(
        `INSERT INTO change (id, at, user_id, ${version < DONE ? 'label' : 'done'}, kind) VALUES (?, ?, 'u_kim000', ?, 'edit')`,
      ).run(id, AT, version < DONE ? `Change ${id}` : JSON.stringify(written(`Change ${id}`)));
      db.prepare(`INSERT INTO current_change (id) VALUES (?)`).run(id);
      db.exec(sql);
      db.prepare(`DELETE FROM current_change`).run();
    })();
  const settings = canonicalJson(documents[0]![2]);
  const named = namesAt(version);
  change(
    1,
    `INSERT INTO setting (key, value) VALUES ('shop', '${settings}');
     INSERT INTO brand (id, name, slug) VALUES ('b_tern00', 'Tern', 'tern');
     INSERT INTO tag (id, name, slug) VALUES ('t_windy0', 'Windy', 'windy');
     INSERT INTO category (id, parent_id, position, name, slug) VALUES ('c_kites0', NULL, 0, 'Kites', 'kites'), ('c_delta0', 'c_kites0', 0, 'Deltas', 'deltas');
     INSERT INTO collection (id, position, name, slug, source, rule) VALUES ('k_light0', 0, 'Light', 'light', 'rule', '${named(canonicalJson((documentsOf(version)[6]![2] as { rule: object }).rule))}');
     ${version < SIZES ? '' : 'UPDATE collection SET fewest = 2;'}
     INSERT INTO page (id, position, title, slug, home) VALUES ('g_home00', 0, 'Home', 'home', 1);
     INSERT INTO section (id, page_id, position, body) VALUES ('s_strip0', 'g_home00', 0, '{"count":4,"kind":"strip","source":{"id":"k_light0","kind":"collection"},"title":"Light"}');
     ${sectionsAt(version)
       .map(
         ({ id, ...body }, i) =>
           `INSERT INTO section (id, page_id, position, body) VALUES ('${id}', 'g_home00', ${i + 1}, '${canonicalJson(body)}');`,
       )
       .join('\n')}
     INSERT INTO menu_item (id, position, target_kind, target_id) VALUES ('m_kites0', 0, 'category', 'c_kites0');
     INSERT INTO redirect (kind, slug, target_id) VALUES ('product', 'old-harrier', 'p_delta0');`,
  );
  change(
    2,
    `INSERT INTO product (id, kind, title, slug, ${version < PLAIN_NAMES ? 'standing' : 'status'}, brand_id, created) VALUES ('p_delta0', 'physical', 'Harrir', 'harrier', 'live', 'b_tern00', '${AT}');
     INSERT INTO option (id, product_id, position, name) VALUES ('o_colour', 'p_delta0', 0, 'Colour');
     INSERT INTO option_value (id, product_id, option_id, position, name) VALUES ('w_ember0', 'p_delta0', 'o_colour', 0, 'Rosé');
     INSERT INTO variant (id, product_id, position, value_ids, sku, price, cost) VALUES ('v_ember0', 'p_delta0', 0, '["w_ember0"]', 'H-1', 5900, 3000);
     INSERT INTO stock (variant_id, product_id, count) VALUES ('v_ember0', 'p_delta0', 3);
     INSERT INTO product_category (product_id, category_id, position) VALUES ('p_delta0', 'c_delta0', 0);
     INSERT INTO product_tag (product_id, tag_id) VALUES ('p_delta0', 't_windy0');`,
  );
  change(
    3,
    `UPDATE product SET title = 'Harrier' WHERE id = 'p_delta0'; UPDATE variant SET price = 6400 WHERE id = 'v_ember0';`,
  );
  db.prepare(`INSERT INTO edition (number, label, at) VALUES (1, '', ?)`).run(AT);
  if (version >= 8) db.prepare(`UPDATE edition SET change_id = 3`).run();
  for (const [kind, key, body] of documentsOf(version)) {
    // Hashes were others once; since then they are those of today.
    const hash = `old-hash-of-${kind}-${key}`;
    const text = textAt(version, kind as DocumentKind, key, body);
    db.prepare(`INSERT INTO document (hash, kind, body) VALUES (?, ?, ?)`).run(hash, kind, text);
    if (version === 1) db.prepare(`INSERT INTO edition_document VALUES (1, ?, ?, ?)`).run(kind, key, hash);
    else
      db.prepare(`INSERT INTO edition_span (kind, key, since, until, hash) VALUES (?, ?, 1, NULL, ?)`).run(
        kind,
        key,
        hash,
      );
  }
  db.close();
}

describe.each(versions)('a database of version %d', (version) => {
  let folder: string;
  let catalog: Catalog;
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'dispona-old-'));
    fixture(folder, version);
    catalog = new Catalog(folder, () => new Date('2026-06-01T10:00:00Z'));
  });
  afterEach(() => {
    catalog.close();
    rmSync(folder, { recursive: true, force: true });
  });

  test('has nothing to put live after the upgrade, and shoppers see what they saw', () => {
    expect(review(catalog).changes).toEqual([]);
    expect(catalog.working.changed.size).toBe(0);
    const { shop } = catalog.live;
    expect(shop.products.get('p_delta0')).toMatchObject({ title: 'Harrier', variants: [{ price: 6400, cost: 3000 }] });
    expect(shop.memberships.of('k_light0', catalog.now).count()).toBe(1);
    expect(shop.redirects.get('product/old-harrier')?.targetId).toBe('p_delta0');
    expect(catalog.db.pragma('foreign_key_check')).toEqual([]);
    expect(shop.pages.get('g_home00')!.sections.slice(1)).toMatchObject(sectionsAt(SHAPES));
    expect(catalog.working.shop.pages.get('g_home00')!.sections).toEqual(shop.pages.get('g_home00')!.sections);
  });

  test('has changes that can be undone and done again, as they could before, under the words that they had', () => {
    expect(catalog.journal.history(10).map(({ label }) => label)).toEqual(
      expect.arrayContaining(['Change 1', 'Change 2']),
    );
    const actor = catalog.actor('u_kim000');
    catalog.journal.undo(actor);
    expect(catalog.working.products.get('p_delta0')).toMatchObject({
      title: 'Harrir',
      status: 'live',
      variants: [{ price: 5900 }],
    });
    catalog.journal.undo(actor);
    expect(catalog.working.products.size).toBe(0);
    catalog.journal.undo(actor);
    expect(catalog.working.shop.pages.size).toBe(0);
    catalog.journal.redo(actor);
    catalog.journal.redo(actor);
    catalog.journal.redo(actor);
    expect(catalog.working.shop.pages.get('g_home00')!.sections.slice(1)).toMatchObject(sectionsAt(SHAPES));
    expect(catalog.working.products.get('p_delta0')).toMatchObject({ title: 'Harrier', variants: [{ price: 6400 }] });
    expect(catalog.working.changed.size).toBe(0);
  });

  test('can put something live, and go back to what was live before', () => {
    catalog.journal.undo(catalog.actor('u_kim000'));
    catalog.putLive('', null);
    expect(catalog.live.shop.products.get('p_delta0')!.title).toBe('Harrir');
    catalog.goBack(1, '', null);
    expect(catalog.live.shop.products.get('p_delta0')!.title).toBe('Harrier');
    catalog.journal.redo(catalog.actor('u_kim000'));
    expect(catalog.working.changed.size).toBe(0);
  });
});
