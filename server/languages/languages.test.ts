import type { LanguageRow, TranslatedUnit, BroughtText } from '../../contract/languages';
import { xliffProblems } from '../../core/languages/xliff';
import { problem, startShop, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
beforeEach(async () => {
  server = await startShop({ Tern: 2_000, Wren: 1_000 });
  await server.call('POST', '/api/languages', { locale: 'de' });
});
afterEach(() => server.close());

const tern = () => server.ids[0]!;
const edit = (fields: object) =>
  server.call('PATCH', `/api/products/${tern()}`, { seen: Number.MAX_SAFE_INTEGER, fields });
const putLive = () => server.call('POST', '/api/editions', {});
const overview = async () =>
  (await server.call<{ languages: LanguageRow[] }>('GET', '/api/languages')).body.languages.find(
    ({ locale }) => locale === 'de',
  )!;
const unitsOf = async (kind: string, id: string) =>
  (await server.call<{ units: TranslatedUnit[] }>('GET', `/api/languages/de/texts?kind=${kind}&id=${id}`)).body.units;
const save = (id: string, path: string, source: string, text: string | null, kind = 'product') =>
  server.call('PUT', '/api/languages/de/texts', { texts: [{ kind, id, path, source, text }] });
const open = async (path: string, init?: RequestInit) => {
  const response = await server.raw(path, { ...init, headers: { Accept: 'application/json', ...init?.headers } });
  return {
    status: response.status,
    headers: response.headers,
    body: (await response.json().catch(() => null)) as never,
  };
};
const titleAt = async (path: string) =>
  ((await open(path)).body as { page: { product?: { title: string } } }).page.product?.title;
const turnOn = () => server.call('PATCH', '/api/languages/de', { isOn: true });

test('shoppers meet a translation with the next edition, not before, under an address made from it', async () => {
  await turnOn();
  await putLive();
  expect((await save(tern(), 'title', 'Tern', 'Seeschwalbe')).status).toBe(200);
  expect(await titleAt('/de/p/tern')).toBe('Tern');
  expect((await open('/de/p/seeschwalbe')).status).toBe(404);
  const review = await server.call<{ changes: { title: string; fields: { label: string }[] }[] }>('GET', '/api/review');
  expect(review.body.changes).toMatchObject([{ title: 'Tern, in German', what: 'new' }]);
  await putLive();
  expect(await titleAt('/de/p/seeschwalbe')).toBe('Seeschwalbe');
  expect(await titleAt('/p/tern')).toBe('Tern');
  const old = await open('/de/p/tern');
  expect([old.status, old.headers.get('location')]).toEqual([301, '/de/p/seeschwalbe']);
  // In the main language there is no such address.
  expect((await open('/p/seeschwalbe')).status).toBe(404);
});

test('a language that is off has no pages for shoppers, but the shop window shows it, drafts and all', async () => {
  await putLive();
  expect((await open('/de/p/tern')).status).toBe(404);
  await server.call('POST', '/api/languages/de/drafts', { kind: 'product', id: tern() });
  const seen = await open('/preview/de/p/tern', { headers: { cookie: server.cookie } });
  expect(seen.status).toBe(200);
  expect((seen.body as { base: string; isPreview: boolean }).base).toBe('/preview/de');
});

test('drafts are in no edition, not even after the live shop began again as a copy of the working one', async () => {
  await turnOn();
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  await putLive();
  await edit({ title: 'Tern of the sea' });
  const { body } = await server.call<{ drafted: number }>('POST', '/api/languages/de/drafts', {
    kind: 'product',
    id: tern(),
  });
  expect(body.drafted).toBeGreaterThan(0);
  await putLive();
  const { live, working } = server.catalog;
  expect(live.shop.wordingDrafts.size).toBe(0);
  live.copyFrom(working.shop, [...working.changed, ...working.withheld]);
  expect(live.shop.wordingDrafts.size).toBe(0);
  expect(await titleAt('/de/p/seeschwalbe')).toBe('Seeschwalbe');
});

test('each text says what it is: missing, done, made from another text, drafted', async () => {
  const state = async () =>
    Object.fromEntries((await unitsOf('product', tern())).map(({ path, state: is }) => [path, is]));
  expect(await state()).toMatchObject({ title: 'missing', slug: 'same' });
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  expect(await state()).toMatchObject({ title: 'done', slug: 'done' });
  await edit({ title: 'Sea tern' });
  const [title] = await unitsOf('product', tern());
  expect(title).toMatchObject({ state: 'changed', madeFrom: 'Tern', done: 'Seeschwalbe', source: 'Sea tern' });
  const { counts } = await overview();
  expect(counts.product).toMatchObject({ changed: 1 });
  await server.call('POST', '/api/languages/de/drafts', {});
  expect(await state()).toMatchObject({ title: 'draft' });
  await save(tern(), 'title', 'Sea tern', 'Seeschwalbe neu');
  expect(await state()).toMatchObject({ title: 'done' });
});

test('one undo takes back all that was kept at once; an address that changed forwards, and undone forwards no more', async () => {
  await turnOn();
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  await putLive();
  await save(tern(), 'slug', 'tern', 'kueste');
  await putLive();
  const forwarded = await open('/de/p/seeschwalbe');
  expect([forwarded.status, forwarded.headers.get('location')]).toEqual([301, '/de/p/kueste']);
  await server.call('POST', '/api/undo');
  await server.call('POST', '/api/undo');
  expect((await unitsOf('product', tern())).every(({ done }) => done === null)).toBe(true);
});

test('a text that is saved while it is typed goes on from there, with or without a space at its end', async () => {
  let was: string | null = null;
  for (const typed of ['Eine ', 'Eine See', 'Eine Seeschwalbe ']) {
    const texts = [{ kind: 'product', id: tern(), path: 'title', source: 'Tern', text: typed, was }];
    expect((await server.call('PUT', '/api/languages/de/texts', { texts })).status).toBe(200);
    was = typed;
  }
  const texts = [{ kind: 'product', id: tern(), path: 'title', source: 'Tern', text: 'Möwe', was: 'Eine See' }];
  expect((await server.call('PUT', '/api/languages/de/texts', { texts })).status).toBe(409);
});

test('an address follows from a name while that is typed, until shoppers have met it, or somebody typed it', async () => {
  await turnOn();
  const slug = async (id = tern()) => (await unitsOf('product', id)).find(({ path }) => path === 'slug')!.done;
  for (const typed of ['See', 'Seeschw', 'Seeschwalbe']) await save(tern(), 'title', 'Tern', typed);
  expect(await slug()).toBe('seeschwalbe');
  await putLive();
  await save(tern(), 'title', 'Tern', 'Küstenseeschwalbe');
  expect(await slug()).toBe('seeschwalbe');
  const wren = server.ids[1]!;
  await save(wren, 'slug', 'wren', 'kleiner-vogel');
  await save(wren, 'title', 'Wren', 'Zaunkönig');
  expect(await slug(wren)).toBe('kleiner-vogel');
  // Nobody has met it, so nothing forwards from it.
  await save(wren, 'slug', 'wren', 'zaunkoenig');
  expect(server.catalog.working.shop.forwards.size).toBe(0);
});

test('an address that another thing has is refused at its field; so is what is no address', async () => {
  await save(tern(), 'title', 'Tern', 'Vogel');
  const taken = await save(server.ids[1]!, 'slug', 'wren', 'vogel');
  expect([taken.status, problem(taken).errors![0]]).toMatchObject([
    422,
    { path: ['texts', 0, 'text'], message: 'Another product has this address already.' },
  ]);
  expect((await save(server.ids[1]!, 'slug', 'wren', 'Ein Vogel')).status).toBe(422);
  // A name that would make the same address gets another one.
  await save(server.ids[1]!, 'title', 'Wren', 'Vogel');
  expect((await unitsOf('product', server.ids[1]!)).find(({ path }) => path === 'slug')!.done).toBe('vogel-2');
});

test('what somebody else translated meanwhile is not written over unseen', async () => {
  const write = (text: string, was: string | null) =>
    server.call('PUT', '/api/languages/de/texts', {
      texts: [{ kind: 'product', id: tern(), path: 'title', source: 'Tern', text, was }],
    });
  expect((await write('Seeschwalbe', null)).status).toBe(200);
  const refused = await write('Vogel', null);
  expect([refused.status, problem(refused).errors![0]]).toMatchObject([409, { theirs: 'Seeschwalbe' }]);
  expect((await write('Vogel', 'Seeschwalbe')).status).toBe(200);
});

test('rich text is cleaned, as it is where it is written', async () => {
  await edit({ description: '<p>Hello</p>' });
  await save(tern(), 'description', '<p>Hello</p>', '<p onclick="x()">Hallo<script>alert(1)</script></p>');
  const unit = (await unitsOf('product', tern())).find(({ path }) => path === 'description')!;
  expect(unit.done).toBe('<p>Hallo</p>');
});

test('what was translated of a product goes with it, and comes back with it', async () => {
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  await server.call('DELETE', `/api/products/${tern()}`);
  expect(server.catalog.working.shop.wordings.size).toBe(0);
  await server.call('POST', '/api/undo');
  expect((await unitsOf('product', tern()))[0]).toMatchObject({ done: 'Seeschwalbe', state: 'done' });
});

test('the next text is found behind the one before, once around', async () => {
  const next = async (at: string) =>
    (
      await server.call<{ place: { id: string; path: string } | null }>(
        'GET',
        `/api/languages/de/next?states=missing&of=product${at}`,
      )
    ).body.place;
  const first = (await next(''))!;
  const second = (await next(`&kind=product&id=${first.id}&path=${first.path}`))!;
  expect(second).not.toEqual(first);
  await save(first.id, first.path, 'Tern', 'A');
  await save(second.id, second.path, 'Wren', 'B');
  expect(await next('')).toBeNull();
});

test('XLIFF goes out by the standard, and comes back with what was changed in it', async () => {
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  const file = await server.raw('/api/languages/de/file?kind=product', { headers: { cookie: server.cookie } });
  const text = await file.text();
  expect(xliffProblems(text)).toEqual([]);
  const changed = text
    .replace('Seeschwalbe', 'Küstenvogel')
    .replace(/(<source xml:space="preserve">Wren<\/source>)/, '$1<target xml:space="preserve">Zaunkönig</target>')
    .replace('state="initial"', 'state="final"');
  const { body } = await server.call<{ token: string; texts: BroughtText[] }>('POST', '/api/languages/de/brought', {
    name: 'words-de.xlf',
    text: changed,
  });
  expect(body.texts.filter(({ what }) => what !== 'same')).toMatchObject([
    { what: 'changed', before: 'Seeschwalbe', after: 'Küstenvogel' },
    { what: 'new', before: null, after: 'Zaunkönig' },
  ]);
  const without = body.texts.findIndex(({ what }) => what === 'changed');
  const taken = await server.call('POST', '/api/languages/de/taken', { token: body.token, without: [without] });
  expect(taken.body).toMatchObject({ kept: 1 });
  expect((await unitsOf('product', server.ids[1]!))[0]!.done).toBe('Zaunkönig');
  expect((await unitsOf('product', tern()))[0]!.done).toBe('Seeschwalbe');
  expect((await server.call('POST', '/api/languages/de/taken', { token: body.token, without: [] })).status).toBe(422);
});

test('a table goes out and comes back; cells that would run as formulas do not, and come back as they were', async () => {
  await edit({ summary: '=1+1 is a sum' });
  await save(tern(), 'summary', '=1+1 is a sum', '=1+1 ist eine Summe');
  const file = await server.raw('/api/languages/de/file?kind=product&format=csv', {
    headers: { cookie: server.cookie },
  });
  const text = await file.text();
  expect(text).toContain("'=1+1 ist eine Summe");
  const { body } = await server.call<{ texts: BroughtText[] }>('POST', '/api/languages/de/brought', {
    name: 'a.csv',
    text,
  });
  expect(body.texts.map(({ what }) => what)).toEqual(['same']);
});

test.each([
  [
    'of another language',
    '<xliff xmlns="urn:oasis:names:tc:xliff:document:2.0" version="2.1" srcLang="en" trgLang="fr"><file id="a"/></xliff>',
    /for fr, not for German/,
  ],
  ['that is none', 'just words', /no file with translations/],
  ['with entities of its own', '<!DOCTYPE a [<!ENTITY b "c">]><xliff/>', /no file with translations/],
])('a file %s is refused in words', async (_, text, message) => {
  const refused = await server.call('POST', '/api/languages/de/brought', { name: 'a.xlf', text });
  expect([refused.status, problem(refused).errors![0]!.message]).toEqual([422, expect.stringMatching(message)]);
});

test('a shopper orders in another language, and is written to in it', async () => {
  await turnOn();
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  await save('shop', 'selling.payments.pay_usualtransfer.name', 'Bank transfer', 'Überweisung', 'settings');
  await putLive();
  const variant = server.catalog.live.shop.products.get(tern())!.variants[0]!.id;
  const form = (path: string, fields: Record<string, string>, cookie = '') =>
    server.raw(path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded', cookie, Accept: 'application/json' },
      body: new URLSearchParams(fields).toString(),
    });
  const added = await form('/de/basket/add', { slug: 'seeschwalbe', variant, quantity: '2' });
  expect(added.headers.get('location')).toBe('/de/basket');
  const cookie = added.headers
    .getSetCookie()
    .map((each) => each.split(';')[0])
    .join('; ');
  const refused = await form('/de/basket/code', { code: 'NONE' }, cookie);
  expect(((await refused.json()) as { page: { problem: string } }).page.problem).toBe(
    'Diesen Code kennen wir nicht. Bitte sehen Sie noch einmal nach.',
  );
  const checkout = (await (
    await server.raw('/de/checkout', { headers: { cookie, Accept: 'application/json' } })
  ).json()) as {
    page: { attempt: string; seen: string; basket: { hints: { words: string }[]; lines: { title: string }[] } };
  };
  expect(checkout.page.basket.lines[0]!.title).toBe('Seeschwalbe');
  const { attempt, seen } = checkout.page;
  const buyer = {
    email: 'ada@example.com',
    name: 'Ada',
    street: 'Weg 1',
    postcode: '4401 AB',
    city: 'Yerseke',
    country: 'NL',
  };
  const ways = { deliveryId: 'dlv_usualparcel', paymentId: 'pay_usualtransfer' };
  const wrong = await form('/de/checkout', { attempt, seen, ...buyer, ...ways, name: '' }, cookie);
  expect(((await wrong.json()) as { page: { problems: object } }).page.problems).toEqual({
    name: 'Geben Sie Ihren Namen ein.',
  });
  const placed = await form('/de/checkout', { attempt, seen, ...buyer, ...ways }, cookie);
  expect(placed.headers.get('location')).toMatch(/^\/de\/order\//);
  const { outbox } = (await server.call<{ outbox: { subject: string; text: string }[] }>('GET', '/api/letters')).body;
  expect(outbox[0]!.subject).toMatch(/^Ihre Bestellung \d+$/);
  expect(outbox[0]!.text).toContain('2 × Seeschwalbe');
  expect(outbox[0]!.text).toContain('https://shop.example/de/order/');
  const page = await open(placed.headers.get('location')!.split('?')[0]!);
  expect((page.body as { page: { statusWords: string } }).page.statusWords).toBe('nicht bezahlt');
});

test('each page names itself in every language, and the main one for everybody else', async () => {
  await turnOn();
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  await putLive();
  const html = await (await server.raw('/de/p/seeschwalbe', { headers: { Accept: 'text/html' } })).text();
  expect(html).toContain('<html lang="de"');
  expect(html).toContain('<link rel="canonical" href="https://shop.example/de/p/seeschwalbe">');
  expect(
    [...html.matchAll(/hreflang="([^"]+)" href="([^"]+)"/gi)].map(([, locale, url]) => [locale, url]).slice(0, 3),
  ).toEqual([
    ['en', 'https://shop.example/p/tern'],
    ['de', 'https://shop.example/de/p/seeschwalbe'],
    ['x-default', 'https://shop.example/p/tern'],
  ]);
  expect(html).toContain('In den Warenkorb');
});

test('who may translate into one language may do that, and nothing else', async () => {
  await server.call('POST', '/api/languages', { locale: 'fr' });
  server.catalog.db.prepare(`UPDATE user SET languages = '["de"]'`).run();
  expect((await save(tern(), 'title', 'Tern', 'Seeschwalbe')).status).toBe(200);
  const refused = await server.call('PUT', '/api/languages/fr/texts', {
    texts: [{ kind: 'product', id: tern(), path: 'title', source: 'Tern', text: 'Sterne' }],
  });
  expect([refused.status, (refused.body as { title: string }).title]).toEqual([
    403,
    'You may not translate into this language.',
  ]);
  expect((await edit({ title: 'X' })).status).toBe(403);
  expect((await server.call('POST', '/api/editions', {})).status).toBe(403);
  expect((await server.call('GET', `/api/products/${tern()}`)).status).toBe(200);
});

test('a language is added once, and goes with all that was translated into it, until that is undone', async () => {
  expect((await server.call('POST', '/api/languages', { locale: 'de' })).status).toBe(422);
  expect((await server.call('POST', '/api/languages', { locale: 'en' })).status).toBe(422);
  expect((await server.call('POST', '/api/languages', { locale: 'Klingonisch!' })).status).toBe(422);
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  expect((await server.call('DELETE', '/api/languages/de')).body).toEqual({ dropped: 2 });
  expect(server.catalog.working.shop.wordings.size).toBe(0);
  await server.call('POST', '/api/undo');
  expect((await unitsOf('product', tern()))[0]!.done).toBe('Seeschwalbe');
});

test('links in texts lead on in the language that is read, and in the shop window', async () => {
  await turnOn();
  await edit({ description: '<p>Flies with <a href="/p/wren">Wren</a>.</p>' });
  await save(server.ids[1]!, 'title', 'Wren', 'Zaunkönig');
  await putLive();
  const page = async (path: string) => (await server.raw(path, { headers: { cookie: server.cookie } })).text();
  expect(await page('/p/tern')).toContain('<a href="/p/wren">');
  const german = await page('/de/p/tern');
  expect(german).toContain('<a href="/de/p/wren">');
  expect(await page('/preview/de/p/tern')).toContain('<a href="/preview/de/p/wren">');
  const led = await server.raw('/de/p/wren', { redirect: 'manual' });
  expect([led.status, led.headers.get('location')]).toEqual([301, '/de/p/zaunkoenig']);
});

test('the shop window tells which texts of a page are not translated; shoppers are told nothing of it', async () => {
  await turnOn();
  await edit({ summary: 'A small kite.', description: '<p>Light &amp; quick.</p><ul><li>Carbon</li></ul>' });
  await save(tern(), 'title', 'Tern', 'Seeschwalbe');
  await putLive();
  const untranslated = async (path: string) =>
    ((await open(path, { headers: { cookie: server.cookie } })).body as { untranslated?: string[] }).untranslated;
  expect(await untranslated('/preview/de/p/seeschwalbe')).toEqual(
    expect.arrayContaining(['A small kite.', 'Light & quick.', 'Carbon']),
  );
  await save(tern(), 'summary', 'A small kite.', 'Ein kleiner Drachen.');
  const left = await untranslated('/preview/de/p/seeschwalbe');
  expect(left).toContain('Carbon');
  expect(left).not.toContain('A small kite.');
  expect(left).not.toContain('Tern');
  expect(await untranslated('/preview/p/tern')).toBeUndefined();
  expect(await untranslated('/de/p/seeschwalbe')).toBeUndefined();
});
