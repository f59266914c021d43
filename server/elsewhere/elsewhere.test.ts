import { XMLParser, XMLValidator } from 'fast-xml-parser';
import Database from 'better-sqlite3';
import { parse } from 'csv-parse/sync';
import { join } from 'node:path';
import type { AnswerOf } from '../../contract/route';
import type { elsewhereRoutes, EmbedRow, FeedRow } from '../../contract/elsewhere';
import type { EmbedView } from '../../core/storefront/embed-view';
import { problem, startShop, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
beforeEach(async () => {
  server = await startShop({ Tern: 2_000, Wren: 1_000, '=Dove': 3_000 });
});
afterEach(() => server.close());

const putLive = () => server.call('POST', '/api/editions', {});
const make = async (what: 'embeds' | 'feeds', body: object) =>
  (await server.call<{ id: string }>('POST', `/api/${what}`, body)).body.id;
const feedsNow = async () => (await server.call<{ feeds: FeedRow[] }>('GET', '/api/feeds')).body.feeds;
const embedsNow = async () => (await server.call<{ embeds: EmbedRow[] }>('GET', '/api/embeds')).body.embeds;
const open = async (path: string, init?: RequestInit) => {
  const response = await server.raw(path, init);
  return { status: response.status, headers: response.headers, text: await response.text() };
};
/** As a browser asks again; otherwise fetch would add that it wants nothing kept. */
const tagOf = ({ headers }: { headers: Headers }) => ({
  'If-None-Match': headers.get('etag')!,
  'Cache-Control': 'max-age=0',
});
const moduleOf = (text: string) => JSON.parse(/^show\((.*)\);$/m.exec(text)![1]!) as EmbedView;

describe('goods in pages of other sites', () => {
  test('are those of the live edition, for any page, with all that is behind them', async () => {
    const id = await make('embeds', { name: 'Club page', ids: [server.ids[1]!, server.ids[0]!] });
    expect((await open(`/embed/${id}.js`)).status).toBe(404);
    await putLive();
    const first = await open(`/embed/${id}.js`);
    expect(first.headers.get('access-control-allow-origin')).toBe('*');
    expect(first.headers.get('cross-origin-resource-policy')).toBe('cross-origin');
    expect(first.headers.get('set-cookie')).toBeNull();
    const view = moduleOf(first.text);
    expect(view.cards.map(({ title }) => title)).toEqual(['Wren', 'Tern']);
    expect(view.products.wren!.variants[0]).toMatchObject({ price: 1_000, inStock: true });
    // What shoppers may not see is nowhere in it.
    expect(first.text).not.toMatch(/"cost"|"supplier"|"stock":\d/);
    const again = await open(`/embed/${id}.js`, { headers: tagOf(first) });
    expect(again.status).toBe(304);

    const { embed } = (await embedsNow())[0]!;
    const strip = { ...embed.strip, columns: 2 };
    const was = { strip: embed.strip, look: embed.look };
    await server.call('PATCH', `/api/embeds/${id}`, { was, strip, look: { ...embed.look, accent: '#aa3300' } });
    expect(moduleOf((await open(`/embed/${id}.js`)).text).columns).toBe(4);
    await putLive();
    expect(moduleOf((await open(`/embed/${id}.js`)).text)).toMatchObject({ columns: 2, look: { accent: '#aa3300' } });
    await server.call('DELETE', `/api/embeds/${id}`);
    await putLive();
    expect((await open(`/embed/${id}.js`)).status).toBe(404);
  });

  test('are drawn before they are saved, and refused at the field', async () => {
    const id = await make('embeds', { name: 'Club page' });
    const { embed } = (await embedsNow())[0]!;
    const all = { ...embed.strip, source: { kind: 'newest' }, count: 2 };
    const drawn = await server.call<AnswerOf<typeof elsewhereRoutes.drawEmbed>>('POST', `/api/embeds/${id}/drawn`, {
      strip: all,
    });
    expect(drawn.body.view.cards).toHaveLength(2);
    expect(drawn.body.note).toMatchObject({ shown: 2, available: 3 });
    expect((await embedsNow())[0]!.embed.strip.source).toEqual({ kind: 'featured' });
    const refused = await server.call('PATCH', `/api/embeds/${id}`, {
      look: { ...embed.look, accent: 'red', size: 99 },
    });
    expect(problem(refused).errors!.map(({ path }) => path.join('.'))).toEqual(['look.accent', 'look.size']);
    const clash = await server.call('PATCH', `/api/embeds/${id}`, { name: 'B', was: { name: 'something else' } });
    expect(clash.status).toBe(409);
  });

  test('text that would end the script stays text', async () => {
    await server.call('PATCH', `/api/products/${server.ids[0]!}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { title: '</script><b>\u2028' },
    });
    const id = await make('embeds', { name: 'x', ids: [server.ids[0]!] });
    await putLive();
    const { text } = await open(`/embed/${id}.js`);
    expect(text).not.toMatch(/<|\u2028/);
    expect(moduleOf(text).cards[0]!.title).toContain('</script>');
  });

  test('in another language tell the goods, what stands around them, and where the shop is, in that', async () => {
    await server.call('POST', '/api/languages', { locale: 'de' });
    await server.call('PATCH', '/api/languages/de', { isOn: true });
    const texts = [{ kind: 'product', id: server.ids[0]!, path: 'title', source: 'Tern', text: 'Seeschwalbe' }];
    await server.call('PUT', '/api/languages/de/texts', { texts });
    const id = await make('embeds', { name: 'x', ids: [server.ids[0]!] });
    await server.call('PATCH', `/api/embeds/${id}`, { locale: 'de' });
    await putLive();
    const view = moduleOf((await open(`/embed/${id}.js`)).text);
    expect([view.cards[0]!.title, view.words.add, view.shop.base]).toEqual(['Seeschwalbe', 'In den Warenkorb', '/de']);
    // Beside goods of the same shop that are told in its main language.
    const variant = server.catalog.working.products.get(server.ids[0]!)!.variants[0]!.id;
    for (const slug of ['seeschwalbe', 'tern']) {
      const taken = await server.raw(`/de/basket/take?lines=${slug}:${variant}:1`, { redirect: 'manual' });
      const Cookie = taken.headers.get('set-cookie')!.split(';')[0]!;
      const basket = await (await server.raw('/de/shop-api/basket', { headers: { Cookie } })).json();
      expect(basket).toMatchObject({ lines: [{ title: 'Seeschwalbe', quantity: 1 }] });
    }
  });

  test('a basket that was filled there is taken over, once, and what is gone is left out', async () => {
    await putLive();
    const variant = (i: number) => server.catalog.working.products.get(server.ids[i]!)!.variants[0]!.id;
    const lines = `tern:${variant(0)}:2,wren:${variant(1)}:1,nothing:v_none00:3,tern:${variant(0)}:-1,tern`;
    const first = await server.raw(`/basket/take?lines=${encodeURIComponent(lines)}`);
    expect([first.status, first.headers.get('location')]).toEqual([303, '/basket']);
    const Cookie = first.headers.get('set-cookie')!.split(';')[0]!;
    await server.raw(`/basket/take?lines=${encodeURIComponent(lines)}`, { headers: { Cookie } });
    const basket = (await (await server.raw('/shop-api/basket', { headers: { Cookie } })).json()) as {
      lines: { title: string; quantity: number }[];
    };
    expect(basket.lines.map(({ title, quantity }) => [title, quantity])).toEqual([
      ['Tern', 2],
      ['Wren', 1],
    ]);
  });
});

describe('a feed', () => {
  const pathOf = ({ address }: FeedRow) => new URL(address).pathname;

  test('is written in each format as its standard asks, with prices of its own', async () => {
    const id = await make('feeds', { name: 'All kites' });
    await server.call('PATCH', `/api/feeds/${id}`, { dearer: 1_000, more: 50 });
    await putLive();
    const written: Record<string, string> = {};
    for (const format of ['csv', 'xml', 'jsonl', 'jsonld', 'atom'] as const) {
      await server.call('PATCH', `/api/feeds/${id}`, { format });
      await putLive();
      const [row] = await feedsNow();
      const { status, text, headers } = await open(pathOf(row!));
      expect([format, status, headers.get('x-robots-tag')]).toEqual([format, 200, 'noindex']);
      written[format] = text;
    }
    const rows: Record<string, string>[] = parse(written.csv!, { columns: true });
    expect(rows.map(({ title, price }) => [title, price])).toEqual(
      expect.arrayContaining([
        ['Tern', '22.50 EUR'],
        // No spreadsheet runs it.
        ["'=Dove", '33.50 EUR'],
      ]),
    );
    expect(XMLValidator.validate(written.xml!)).toBe(true);
    expect(XMLValidator.validate(written.atom!)).toBe(true);
    const atom = new XMLParser().parse(written.atom!) as { feed: { id: string; updated: string; entry: object[] } };
    expect(atom.feed.entry).toHaveLength(3);
    expect(Date.parse(atom.feed.updated)).not.toBeNaN();
    const lines = written
      .jsonl!.trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { availability: string });
    expect(lines.map(({ availability }) => availability)).toEqual(['in stock', 'in stock', 'in stock']);
    const list = JSON.parse(written.jsonld!) as { itemListElement: { item: { offers: { price: string } } }[] };
    expect(list.itemListElement.map(({ item }) => item.offers.price).sort()).toEqual(['11.50', '22.50', '33.50']);
  });

  test('has an address that nobody guesses, which can be replaced, and tells how often it was fetched', async () => {
    const id = await make('feeds', { name: 'All kites' });
    await putLive();
    const [row] = await feedsNow();
    expect((await open(pathOf(row!).replace(/[^/]+$/, 'guess.csv'))).status).toBe(404);
    expect((await open(pathOf(row!).replace('.csv', '.xml'))).status).toBe(404);
    const first = await open(pathOf(row!));
    const again = await open(pathOf(row!), { headers: tagOf(first) });
    expect([first.status, again.status]).toEqual([200, 304]);
    expect((await feedsNow())[0]).toMatchObject({ fetches: 2 });
    await server.call('POST', `/api/feeds/${id}/address`);
    expect((await open(pathOf(row!))).status).toBe(404);
    expect((await open(pathOf((await feedsNow())[0]!))).status).toBe(200);
  });

  test('is fetched while long work holds the database, and keys read; that is noted another time', async () => {
    await make('feeds', { name: 'All kites' });
    const { key } = (await server.call<{ key: string }>('POST', '/api/keys', { name: 'x', scopes: ['goods'] })).body;
    await putLive();
    const path = pathOf((await feedsNow())[0]!);
    let release = () => {};
    void server.catalog.writes.exclusive(() => new Promise<void>((resolve) => (release = resolve)));
    const other = new Database(join(server.folder, 'dispona.sqlite'));
    other.exec('BEGIN IMMEDIATE');
    expect((await open(path)).status).toBe(200);
    const headers = { Authorization: `Bearer ${key}` };
    expect((await open(`/api/products/${server.ids[0]!}`, { headers })).status).toBe(200);
    other.exec('ROLLBACK');
    other.close();
    release();
    expect((await feedsNow())[0]).toMatchObject({ fetches: 0, fetched: null });
  });

  test('of a channel says what is taken and refused and why, on the feed and on the product', async () => {
    const id = await make('feeds', { name: 'Pier', channel: 'pier-market' });
    expect((await feedsNow())[0]!.channel).toEqual({ name: 'Pier market', taken: 0, refused: 3 });
    const { body } = await server.call<AnswerOf<typeof elsewhereRoutes.verdicts>>('GET', `/api/feeds/${id}/verdicts`);
    expect(body.refusals.find(({ title }) => title === 'Tern')!.why).toEqual([
      'It has no barcode.',
      'It has no picture.',
      'It is in no category.',
    ]);
    const told = await server.call<AnswerOf<typeof elsewhereRoutes.productChannels>>(
      'GET',
      `/api/products/${server.ids[0]!}/channels`,
    );
    expect(told.body.channels).toEqual([expect.objectContaining({ name: 'Pier market', entries: 1 })]);
  });

  test('is checked at its fields', async () => {
    const id = await make('feeds', { name: 'All kites' });
    const fields = [
      { name: 'a b', from: 'title' },
      { name: 'x', from: 'title' },
      { name: 'x', from: 'cost' },
    ];
    const refused = await server.call('PATCH', `/api/feeds/${id}`, { fields });
    expect(problem(refused).errors!.map(({ path }) => path.join('.'))).toContain('fields.0.name');
    const twice = await server.call('PATCH', `/api/feeds/${id}`, { fields: fields.slice(1) });
    expect(problem(twice).errors![0]!.message).toBe('Two fields cannot have one name.');
    const unknown = await server.call('PATCH', `/api/feeds/${id}`, {
      fields: [{ name: 'x', from: 'cost' }],
      channel: 'y',
    });
    expect(problem(unknown).errors!.map(({ path }) => path.join('.'))).toEqual(['fields.0.from', 'channel']);
  });

  test('in a shop that is closed is closed', async () => {
    await make('feeds', { name: 'All kites' });
    await putLive();
    const path = pathOf((await feedsNow())[0]!);
    server.catalog.db.prepare(`UPDATE opening SET closed = 1`).run();
    expect((await open(path)).status).toBe(503);
  });
});

describe('keys of programs', () => {
  const keyOf = async (...scopes: string[]) =>
    (await server.call<{ key: string }>('POST', '/api/keys', { name: 'Stock program', scopes })).body.key;
  const asked = async (key: string, path: string, method = 'GET', body?: string) =>
    (
      await server.raw(path, {
        method,
        headers: { Authorization: `Bearer ${key}`, ...(body && { 'Content-Type': 'application/json' }) },
        body,
      })
    ).status;

  test('read what they were made for, change nothing, and are told only once', async () => {
    const key = await keyOf('goods');
    expect(await asked(key, `/api/products/${server.ids[0]!}`)).toBe(200);
    expect(await asked(key, '/api/goods/list', 'POST', '{}')).toBe(200);
    expect(await asked(key, '/api/orders')).toBe(403);
    expect(await asked(key, '/api/people')).toBe(403);
    expect(await asked(key, '/api/keys')).toBe(403);
    expect(await asked(key, '/api/products', 'POST', '{"title":"x","price":1}')).toBe(403);
    expect(await asked(`${key}x`, `/api/products/${server.ids[0]!}`)).toBe(401);
    const { body } = await server.call<AnswerOf<typeof elsewhereRoutes.keys>>('GET', '/api/keys');
    expect(JSON.stringify(body)).not.toContain(key);
    expect(body.keys).toEqual([
      expect.objectContaining({ name: 'Stock program', scopes: ['goods'], begins: key.slice(0, 10) }),
    ]);
    expect(body.keys[0]!.used).not.toBeNull();
    await server.call('DELETE', `/api/keys/${body.keys[0]!.id}`);
    expect(await asked(key, `/api/products/${server.ids[0]!}`)).toBe(401);
  });

  test('the public answers are kept by their tags', async () => {
    await putLive();
    for (const path of [
      '/shop-api/listing',
      '/shop-api/products/tern',
      '/shop-api/cards?slugs=tern',
      '/shop-api/suggest?q=te',
    ]) {
      const first = await open(path);
      expect([path, first.status, first.headers.get('cache-control')]).toEqual([path, 200, 'no-cache']);
      expect((await open(path, { headers: tagOf(first) })).status).toBe(304);
    }
  });
});
