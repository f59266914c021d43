import { usualVisits } from '../../core/model/visit-model';
import type { AnswerOf } from '../../contract/route';
import type { exposureRoutes } from '../../contract/exposure';
import { startShop } from '../testing/harness';

type Overview = AnswerOf<typeof exposureRoutes.overview>;

let shop: Awaited<ReturnType<typeof startShop>>;
beforeAll(async () => void (shop = await startShop({ Harrier: 1_000, Wren: 2_000, Ibis: 3_000 })));
afterAll(() => shop.close());

const overview = async () => (await shop.call<Overview>('GET', '/api/exposure')).body;
const shareOf = ({ goods }: Overview, title: string) => goods.find((each) => each.title === title)!.share;
const list = async (body: object) =>
  (await shop.call<{ rows: { title: string; cells: string[] }[] }>('POST', '/api/goods/list', body)).body.rows;
const home = () => [...shop.catalog.working.shop.pages.values()].find((page) => page.home)!.id;
const rule = (value: number) => ({ match: 'all', of: [{ field: 'exposure', is: 'atLeast', value }] });

test('a product that is put on the home page is seen more; the list tells, sorts and narrows by it', async () => {
  const before = await overview();
  expect(before.model).toEqual(usualVisits);
  await shop.call('PATCH', `/api/pages/${home()}`, {
    sections: [{ id: null, kind: 'strip', title: 'First', source: { kind: 'picked', ids: [shop.ids[1]] }, count: 4 }],
  });
  const after = await overview();
  expect(shareOf(after, 'Wren')).toBeGreaterThan(shareOf(before, 'Wren'));
  expect(shareOf(after, 'Wren')).toBeGreaterThan(2 * shareOf(after, 'Ibis'));
  expect(after.places.find(({ id }) => id === home())!.share).toBeGreaterThan(4_000);

  const [first, second] = await list({ sort: '-exposure', columns: ['exposure'] });
  expect(first).toMatchObject({ title: 'Wren', cells: [`${shareOf(after, 'Wren') / 100} %`] });
  expect(second!.title).not.toBe('Wren');
  const narrowed = await list({ rule: rule(shareOf(after, 'Wren')) });
  expect(narrowed.map(({ title }) => title)).toEqual(['Wren']);
});

test('a product tells where visits see it first, and the parts make the whole', async () => {
  const { body } = await shop.call<AnswerOf<typeof exposureRoutes.ofProduct>>(
    'GET',
    `/api/products/${shop.ids[1]}/exposure`,
  );
  expect(body.first[0]!.name).toBe('Home');
  expect(body.first.map(({ name }) => name)).toEqual(expect.arrayContaining(['Its own page', 'Search']));
  const sum = body.first.reduce((all, { share }) => all + share, 0);
  expect(Math.abs(sum - body.share)).toBeLessThanOrEqual(body.first.length);
});

test('what is taken for true of a visit is changed, counts at once, and is undone; it is no part of what shoppers see', async () => {
  const before = await overview();
  const changed = [...shop.catalog.working.changed];
  const model = { ...usualVisits, home: 90, listing: 2, product: 4, search: 4 };
  expect((await shop.call('PUT', '/api/exposure/model', model)).status).toBe(200);
  const after = await overview();
  expect(after.model).toEqual(model);
  expect(shareOf(after, 'Wren')).toBeGreaterThan(shareOf(before, 'Wren'));
  expect([...shop.catalog.working.changed]).toEqual(changed);
  await shop.call('POST', '/api/undo', {});
  expect(await overview()).toEqual(before);
  const refused = await shop.call<{ errors: { path: string[]; message: string }[] }>('PUT', '/api/exposure/model', {
    ...usualVisits,
    home: 50,
  });
  expect(refused.status).toBe(422);
  expect(refused.body.errors[0]!.message).toBe('The four beginnings make 100 % together.');
});

test('what shows goods cannot ask how often they are seen', async () => {
  const refused = await shop.call<{ errors: { message: string }[] }>('POST', '/api/collections', {
    name: 'Hardly seen',
    source: 'rule',
    rule: rule(100),
  });
  expect(refused.status).toBe(422);
  expect(refused.body.errors[0]!.message).toMatch(/cannot ask where they show/);
});
