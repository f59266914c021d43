import sharp from 'sharp';
import { startShop, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
let kites: string;
beforeEach(async () => {
  server = await startShop({ Tern: 2_000 });
  kites = (await server.call<{ id: string }>('POST', '/api/categories', { name: 'Kites' })).body.id;
  await server.call('PATCH', `/api/products/${server.ids[0]}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { categoryIds: [kites] },
  });
});
afterEach(() => server.close());

const putLive = () => server.call('POST', '/api/editions', {});
/** Path of the picture that a page gives to who shares a link to it. */
async function sharedPicture(path: string): Promise<string | undefined> {
  const html = await (await server.raw(path)).text();
  return /<meta property="og:image" content="https:\/\/shop\.example([^"]*)"/.exec(html)?.[1]?.replaceAll('&amp;', '&');
}
const draw = async (path: string) => Buffer.from(await (await server.raw(path)).arrayBuffer());
/** How much of a picture is lighter than its ground: letters, on cards without a photo. */
const lightIn = async (card: Buffer) => (await sharp(card).greyscale().stats()).channels[0]!.mean;

test('a page without a picture of its own has a made one, with its title on it, in the size that is shared', async () => {
  await putLive();
  const path = (await sharedPicture('/c/kites'))!;
  expect(path).toMatch(/^\/cards\/c\/kites\.jpg\?v=/);
  const answer = await server.raw(path);
  expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'image/jpeg']);
  const short = Buffer.from(await answer.arrayBuffer());
  expect(await sharp(short).metadata()).toMatchObject({ width: 1_200, height: 630, format: 'jpeg' });

  await server.call('PATCH', `/api/categories/${kites}`, { name: 'Kites for wide beaches and steady winds' });
  // Nothing of it shows before the edition that has it.
  expect(await sharedPicture('/c/kites')).toBe(path);
  await putLive();
  const renamed = (await sharedPicture('/c/kites'))!;
  expect(renamed).not.toBe(path);
  expect(await lightIn(await draw(renamed))).toBeGreaterThan(await lightIn(short));
});

test('a language has cards of its own', async () => {
  await server.call('POST', '/api/languages', { locale: 'de' });
  await server.call('PATCH', '/api/languages/de', { isOn: true });
  await server.call('PUT', '/api/languages/de/texts', {
    texts: [{ kind: 'category', id: kites, path: 'name', source: 'Kites', text: 'Drachen' }],
  });
  await putLive();
  const path = (await sharedPicture('/de/c/drachen'))!;
  expect(path).toMatch(/^\/de\/cards\/c\/drachen\.jpg/);
  const german = await server.raw(path);
  expect(german.status).toBe(200);
  expect(path.split('?')[1]).not.toBe((await sharedPicture('/c/kites'))!.split('?')[1]);
});

test('there is no card of what shoppers do not meet, nor of words whose letters cannot be drawn', async () => {
  await server.call('PATCH', '/api/products/' + server.ids[0], {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { status: 'draft' },
  });
  await putLive();
  expect((await server.raw('/cards/c/nothing.jpg')).status).toBe(404);
  expect((await server.raw('/cards/p/tern.jpg')).status).toBe(404);
  expect((await server.raw('/cards/basket.jpg')).status).toBe(404);
  expect((await server.raw('/cards/%E0%A4%A.jpg')).status).toBe(400);
  await server.call('PATCH', `/api/categories/${kites}`, { name: '凧', slug: 'tako' });
  await putLive();
  expect(await sharedPicture('/c/tako')).toBeUndefined();
  expect((await server.raw('/cards/c/tako.jpg')).status).toBe(404);
});
