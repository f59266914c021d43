import { XMLParser } from 'fast-xml-parser';
import type { ChosenRow, SearchConflict, ShownPage } from '../../contract/engines';
import type { ChosenListing } from '../../core/model/chosen-listing';
import { problem, startShop, type Harness } from '../testing/harness';

const seen = Number.MAX_SAFE_INTEGER;
let server: Harness & { ids: string[] };
let deltas: string;
beforeEach(async () => {
  server = await startShop({ 'Red delta': 2_000, 'Blue delta': 1_500, Wren: 1_000 });
  deltas = (await server.call<{ id: string }>('POST', '/api/categories', { name: 'Deltas' })).body.id;
  const brand = (await server.call<{ id: string }>('POST', '/api/brands', { name: 'Norrwind' })).body.id;
  const [red, blue, wren] = server.ids;
  await change(red!, { categoryIds: [deltas], brandId: brand });
  await change(blue!, { categoryIds: [deltas] });
  await change(wren!, { categoryIds: [deltas] });
  await server.call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id: deltas }, items: [] }],
  });
});
afterEach(() => server.close());

const change = (id: string, fields: object) => server.call('PATCH', `/api/products/${id}`, { seen, fields });
const putLive = () => server.call('POST', '/api/editions', {});
const overview = async () =>
  (await server.call<{ pages: ShownPage[]; conflicts: SearchConflict[]; chosen: ChosenRow[] }>('GET', '/api/engines'))
    .body;
const sorts = async () => (await overview()).conflicts.map(({ sort }) => sort);
const html = async (path: string) => (await server.raw(path)).text();
const canonical = (page: string) => /<link rel="canonical" href="https:\/\/shop\.example([^"]*)"/.exec(page)?.[1];
const isShown = (page: string) => !page.includes('content="noindex"');
const parser = new XMLParser({ ignoreAttributes: false, isArray: (name) => name === 'url' });
const sitemap = async () =>
  (parser.parse(await html('/sitemap.xml')) as { urlset: { url: { loc: string }[] } }).urlset.url.map(({ loc }) =>
    loc.replace('https://shop.example', ''),
  );

async function choose(title: string, label: string, value: string) {
  const { filters } = (
    await server.call<{ filters: { key: string; label: string; values: { value: string; label: string }[] }[] }>(
      'GET',
      `/api/engines/filters?kind=category&id=${deltas}`,
    )
  ).body;
  const filter = filters.find((each) => each.label === label)!;
  const { body } = await server.call<{ id: string }>('POST', '/api/engines/chosen', {
    at: { kind: 'category', id: deltas },
    choices: [{ key: filter.key, values: [filter.values.find((each) => each.label === value)!.value] }],
    title,
  });
  return body.id;
}

test('the same goods are chosen once only, and others beside them', async () => {
  await choose('Deltas of Norrwind', 'Brand', 'Norrwind');
  const [{ at, choices }] = [...server.catalog.working.shop.chosen.values()] as [ChosenListing];
  const again = await server.call('POST', '/api/engines/chosen', { at, choices, title: 'Once more' });
  expect(problem(again).errors).toEqual([
    { path: ['choices'], message: 'The very same goods are chosen already, as “Deltas of Norrwind”.' },
  ]);
  const wider = await server.call('POST', '/api/engines/chosen', { at: null, choices, title: 'All of Norrwind' });
  expect(wider.status).toBe(200);
});

test('a narrowed listing is kept away until it is chosen; then robots, canonical and sitemap agree', async () => {
  await putLive();
  const narrowed = '/c/deltas?f.brand=norrwind';
  expect(isShown(await html(narrowed))).toBe(false);
  const id = await choose('Deltas of Norrwind', 'Brand', 'Norrwind');
  await server.call('PATCH', `/api/engines/chosen/${id}`, { text: 'Wide wings from a windy coast.' });
  await putLive();

  const own = '/l/deltas-of-norrwind';
  const page = await html(own);
  expect([isShown(page), canonical(page)]).toEqual([true, own]);
  expect(page).toContain('Wide wings from a windy coast.');
  expect(page).toContain('Red delta');
  expect(page).not.toContain('Blue delta');
  expect(await sitemap()).toContain(own);
  expect(await html('/robots.txt')).not.toContain('/l/');
  // The same goods by ticking filters, and pages behind the first, lead there.
  expect(canonical(await html(narrowed))).toBe(own);
  expect(canonical(await html(`${own}?sort=price`))).toBe(own);

  await server.call('DELETE', `/api/engines/chosen/${id}`);
  await putLive();
  expect(await sitemap()).not.toContain(own);
  expect((await server.raw(own)).status).toBe(404);
  expect(isShown(await html(narrowed))).toBe(false);
});

test('a filter that is a group goes on to be meant after the group was renamed', async () => {
  await choose('Of Norrwind', 'Brand', 'Norrwind');
  await putLive();
  const [brand] = [...server.catalog.working.shop.brands.values()];
  await server.call('PATCH', `/api/named/brand/${brand!.id}`, { name: 'Norr & Wind', slug: 'norr-and-wind' });
  await putLive();
  expect(await html('/l/of-norrwind')).toContain('Red delta');
  expect(canonical(await html('/c/deltas?f.brand=norr-and-wind'))).toBe('/l/of-norrwind');
});

test('the address of a chosen listing can change, forwards then, and is nobody else’s', async () => {
  const id = await choose('Of Norrwind', 'Brand', 'Norrwind');
  const { choices } = server.catalog.working.shop.chosen.get(id)!;
  const windy = { at: null, choices, title: 'Windy' };
  const other = (await server.call<{ id: string }>('POST', '/api/engines/chosen', windy)).body.id;
  const taken = await server.call('PATCH', `/api/engines/chosen/${other}`, { slug: 'of-norrwind' });
  expect(problem(taken).errors).toEqual([expect.objectContaining({ path: ['slug'] })]);
  await putLive();
  await server.call('PATCH', `/api/engines/chosen/${id}`, { slug: 'norrwind-deltas' });
  await putLive();
  const old = await server.raw('/l/of-norrwind', { redirect: 'manual' });
  expect([old.status, old.headers.get('location')]).toEqual([301, '/l/norrwind-deltas']);
  // Back again: no circle, whatever a browser remembers.
  await server.call('PATCH', `/api/engines/chosen/${id}`, { slug: 'of-norrwind' });
  await putLive();
  expect((await server.raw('/l/of-norrwind', { redirect: 'manual' })).status).toBe(200);
});

test('words that are saved while they are typed go on from there; what somebody else typed is not written over', async () => {
  const id = await choose('Of Norrwind', 'Brand', 'Norrwind');
  const write = (text: string, was: string) =>
    server.call('PATCH', `/api/engines/chosen/${id}`, { text, was: { text: was } });
  expect((await write('Wide ', '')).status).toBe(200);
  expect((await write('Wide wings', 'Wide ')).status).toBe(200);
  expect((await write('Narrow wings', 'Wide ')).status).toBe(409);
});

test('what does not go together is listed, and goes away with its mend', async () => {
  expect(await sorts()).not.toContain('hiddenInMenu');
  const id = await choose('Of Norrwind', 'Brand', 'Norrwind');
  const at = { kind: 'category', id: deltas };
  await server.call('POST', '/api/engines/noindex', { ...at, noindex: true });
  expect(await sorts()).toEqual(expect.arrayContaining(['hiddenInMenu', 'canonicalHidden']));
  await server.call('POST', '/api/engines/noindex', { ...at, noindex: false });
  expect(await sorts()).not.toContain('hiddenInMenu');
  expect(await sorts()).not.toContain('canonicalHidden');

  await change(server.ids[0]!, { brandId: null });
  const noGoods = (await overview()).conflicts.find(({ sort }) => sort === 'noGoods');
  expect(noGoods).toMatchObject({ kind: 'chosenListing', id, mend: 'dropChosen' });
  await server.call('DELETE', `/api/engines/chosen/${id}`);
  expect(await sorts()).not.toContain('noGoods');

  for (const each of server.ids.slice(0, 2)) await change(each, { metaTitle: 'Kites' });
  expect(await sorts()).toContain('sameTitle');
  await change(server.ids[0]!, { metaTitle: '' });
  expect(await sorts()).not.toContain('sameTitle');

  expect((await overview()).conflicts).toContainEqual(
    expect.objectContaining({ sort: 'shortText', kind: 'category', id: deltas }),
  );
  await server.call('PATCH', `/api/categories/${deltas}`, {
    text: 'Wide wings, a light hand and no worries at all. '.repeat(2),
  });
  expect((await overview()).conflicts).not.toContainEqual(expect.objectContaining({ sort: 'shortText', id: deltas }));

  await server.call('PUT', '/api/forwards', { path: '/c/boxes', to: { kind: 'address', url: '/c/deltas' } });
  await server.call('PATCH', `/api/categories/${deltas}`, { slug: 'boxes' });
  expect(await sorts()).toContain('redirected');
  await server.call('DELETE', '/api/forwards', { path: '/c/boxes' });
  expect(await sorts()).not.toContain('redirected');

  await server.call('POST', '/api/languages', { locale: 'de' });
  await server.call('PATCH', '/api/languages/de', { isOn: true });
  expect((await overview()).conflicts).toContainEqual(expect.objectContaining({ sort: 'untold', id: deltas }));
  const text = { kind: 'category', id: deltas, path: 'name', source: 'Deltas', text: 'Deltadrachen' };
  await server.call('PUT', '/api/languages/de/texts', { texts: [text] });
  expect((await overview()).conflicts).not.toContainEqual(expect.objectContaining({ sort: 'untold', id: deltas }));
});

test('choosing, and what is kept away, is undone like every change', async () => {
  await choose('Of Norrwind', 'Brand', 'Norrwind');
  await server.call('POST', '/api/undo');
  expect((await overview()).chosen).toEqual([]);
  await server.call('POST', '/api/engines/noindex', { kind: 'category', id: deltas, noindex: true });
  await server.call('POST', '/api/undo');
  expect((await overview()).pages.map(({ id }) => id)).toContain(deltas);
  const nowhere = await server.call('POST', '/api/engines/noindex', { kind: 'category', id: 'c_none', noindex: true });
  expect(nowhere.status).toBe(404);
});
