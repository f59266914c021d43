import type { Problem } from '../../contract/problem';
import { addProduct, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => void (server = await startServer()));
afterEach(() => server.close());

const call = <T = Record<string, unknown>>(method: string, path: string, body?: unknown) =>
  server.call<T>(method, path, body);
const many = Array.from({ length: 20 }, (_, i) => i);

describe('twenty people who add to the same list at once lose nothing', () => {
  test('sections of a page', async () => {
    const { pages } = (await call<{ pages: { id: string; sections: object[] }[] }>('GET', '/api/pages')).body;
    const { id, sections } = pages[0]!;
    const section = (i: number) => ({ id: null, kind: 'line', label: `Line ${i}` });
    await Promise.all(
      many.map((i) => call('PATCH', `/api/pages/${id}`, { sections: [...sections, section(i)], was: { sections } })),
    );
    const after = (await call<{ pages: { sections: { label: string }[] }[] }>('GET', '/api/pages')).body.pages[0]!;
    expect(after.sections.map(({ label }) => label).sort()).toEqual(many.map((i) => `Line ${i}`).sort());
  });

  test('items of the menu', async () => {
    const category = (await call('POST', '/api/categories', { name: 'Kites' })).body as { id: string };
    const item = (i: number) => ({
      id: null,
      label: `Item ${i}`,
      target: { kind: 'category', id: category.id },
      items: [],
    });
    await Promise.all(many.map((i) => call('PUT', '/api/menu', { items: [item(i)], was: { items: [] } })));
    const menu = (await call<{ items: { label: string }[] }>('GET', '/api/menu')).body;
    expect(menu.items).toHaveLength(20);
  });

  test('goods of a collection picked by hand', async () => {
    const ids: string[] = [];
    for (const i of many) ids.push((await addProduct(server, `Kite ${i}`)).product.id);
    const made = await call<{ id: string }>('POST', '/api/collections', { name: 'Picks', source: 'picked' });
    const { id } = made.body;
    await Promise.all(
      ids.map((each) => call('PATCH', `/api/collections/${id}`, { picked: [each], was: { picked: [] } })),
    );
    const after = (await call<{ picked: string[] }>('GET', `/api/collections/${id}`)).body;
    expect(after.picked.sort()).toEqual(ids.sort());
  });

  test('attributes of a spec sheet, and values of an option list', async () => {
    const sheet = (await call<{ id: string }>('POST', '/api/spec-sheets', { name: 'Kite' })).body.id;
    const attribute = (i: number) => ({
      id: `a_attribute${i}`,
      name: `Fact ${i}`,
      type: 'text',
      unit: '',
      choices: [],
      heading: '',
      required: false,
      shown: true,
      filterable: false,
    });
    await Promise.all(
      many.map((i) =>
        call('PUT', `/api/spec-sheets/${sheet}`, {
          name: 'Kite',
          attributes: [attribute(i)],
          was: { name: 'Kite', attributes: [] },
        }),
      ),
    );
    const { sheets } = (await call<{ sheets: { attributes: object[] }[] }>('GET', '/api/spec-sheets')).body;
    expect(sheets[0]!.attributes).toHaveLength(20);

    const list = (await call<{ id: string }>('POST', '/api/option-lists', { name: 'Colours', choices: [] })).body.id;
    const choice = (i: number) => ({ name: `Colour ${i}`, swatch: null });
    await Promise.all(
      many.map((i) =>
        call('PUT', `/api/option-lists/${list}`, {
          name: 'Colours',
          choices: [choice(i)],
          was: { name: 'Colours', choices: [] },
        }),
      ),
    );
    const { lists } = (await call<{ lists: { choices: object[] }[] }>('GET', '/api/option-lists')).body;
    expect(lists[0]!.choices).toHaveLength(20);
  });
});

describe('two who change the same field are told, with what stands there', () => {
  const clashAt = (answer: { status: number; body: unknown }) => {
    expect(answer.status).toBe(409);
    return (answer.body as Problem).errors!.map(({ path, theirs }) => ({ path, theirs }));
  };

  test('text, rule and pins of a collection', async () => {
    const rule = (tag: string) => ({ match: 'all', of: [{ field: 'title', is: 'contains', value: tag }] });
    const made = await call<{ id: string; rule: object }>('POST', '/api/collections', {
      name: 'Light',
      source: 'rule',
      rule: rule('a'),
    });
    const path = `/api/collections/${made.body.id}`;
    await call('PATCH', path, { text: 'Theirs', rule: rule('b') });
    const was = { text: '', rule: rule('a') };
    expect(clashAt(await call('PATCH', path, { text: 'Mine', was }))).toEqual([{ path: ['text'], theirs: 'Theirs' }]);
    expect(clashAt(await call('PATCH', path, { rule: rule('c'), was }))).toEqual([
      { path: ['rule'], theirs: rule('b') },
    ]);
    // Who changes another field is not in the way.
    expect((await call('PATCH', path, { metaTitle: 'Mine', was: { metaTitle: '' } })).status).toBe(200);
  });

  test('names of categories, brands, and settings of the shop', async () => {
    const category = (await call<{ id: string }>('POST', '/api/categories', { name: 'Kites' })).body.id;
    await call('PATCH', `/api/categories/${category}`, { name: 'All kites' });
    const mine = await call('PATCH', `/api/categories/${category}`, { name: 'Our kites', was: { name: 'Kites' } });
    expect(clashAt(mine)).toEqual([{ path: ['name'], theirs: 'All kites' }]);
    const brand = (await call<{ id: string }>('POST', '/api/brands', { name: 'Tern' })).body.id;
    await call('PATCH', `/api/named/brand/${brand}`, { text: 'Theirs' });
    expect(clashAt(await call('PATCH', `/api/named/brand/${brand}`, { text: 'Mine', was: { text: '' } }))).toHaveLength(
      1,
    );
    await call('PATCH', '/api/settings', { tagline: 'Theirs' });
    expect(clashAt(await call('PATCH', '/api/settings', { tagline: 'Mine', was: { tagline: '' } }))).toHaveLength(1);
  });
});
