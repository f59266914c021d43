import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { ProductAnswer } from '../../contract/product';
import type { ProductView } from '../../core/storefront/views';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const ALL = Number.MAX_SAFE_INTEGER;
const patch = (id: string, fields: object, confirmed = false) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${id}`, { seen: ALL, fields, confirmed });
function send(id: string, role: string, content: BlobPart, name = 'plan.pdf') {
  const form = new FormData();
  form.append('files', new Blob([content]), name);
  return server.call<ProductAnswer>('POST', `/api/products/${id}/files?role=${role}`, form);
}
async function plan() {
  const { product } = await addProduct(server, 'Plan');
  await patch(product.id, { kind: 'digital' });
  return product.id;
}
const arriving = () => readdirSync(join(server.folder, 'files', 'arriving'));
const own = { headers: {} as Record<string, string> };

test('what buyers pay for has no address in the shop; samples and manuals do, once they are live', async () => {
  const id = await plan();
  await send(id, 'download', 'all pages');
  await send(id, 'sample', 'one page', 'first page.pdf');
  const { product } = (await send(id, 'manual', 'how to print', 'print ä.pdf')).body;
  const [download, sample, manual] = product.files;
  const fetched = async (base: string, file: string, init?: RequestInit) =>
    (await server.raw(`${base}/files/${id}/${file}`, init)).status;
  own.headers = { Cookie: server.cookie };
  expect(await fetched('', sample!.id)).toBe(404);
  await server.call('POST', '/api/editions', {});
  expect(await fetched('', sample!.id)).toBe(200);
  expect(await fetched('', manual!.id)).toBe(200);
  expect(await fetched('', download!.id, own)).toBe(404);
  expect(await fetched('/preview', download!.id)).toBe(404);
  expect(await fetched('/preview', download!.id, own)).toBe(200);
  const response = await server.raw(`/files/${id}/${manual!.id}`);
  expect(await response.text()).toBe('how to print');
  expect(response.headers.get('content-disposition')).toMatch(/^attachment; filename=.*print/);
  expect(response.headers.get('x-content-type-options')).toBe('nosniff');
  const view = (await (await server.raw('/shop-api/products/plan')).json()) as ProductView;
  expect(view.downloads).toEqual([{ name: 'plan.pdf', size: '9 bytes', variantId: null }]);
  expect(view.files.map(({ name }) => name)).toEqual(['first page.pdf', 'print ä.pdf']);
  expect(JSON.stringify(view)).not.toContain(download!.content);
});

test('a file that the working copy lost is still there for shoppers of the edition', async () => {
  const id = await plan();
  const { product } = (await send(id, 'sample', 'one page')).body;
  await server.call('POST', '/api/editions', {});
  await patch(id, { files: [] });
  expect((await server.raw(`/files/${id}/${product.files[0]!.id}`)).status).toBe(200);
  await server.call('POST', '/api/undo');
  const again = (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body;
  expect(again.product.files).toEqual(product.files);
});

describe('what is not taken is refused in plain words, and leaves nothing behind', () => {
  test.each([
    ['an empty file', '', /empty/],
    ['the same file again', 'all pages', /same file as “plan.pdf”/],
  ])('%s', async (_name, content, message) => {
    const id = await plan();
    await send(id, 'download', 'all pages');
    const refused = await send(id, 'download', content, 'other.pdf');
    expect(refused.status).toBe(422);
    expect(problem(refused).errors![0]).toEqual({ path: ['files'], message: expect.stringMatching(message) });
    expect(arriving()).toEqual([]);
  });

  test('a file of more than 300 MB, which is stopped on its way', async () => {
    const id = await plan();
    const piece = new Uint8Array(7 * 1024 * 1024);
    const refused = await send(id, 'download', new Blob(Array.from({ length: 43 }, () => piece)));
    expect(refused.status).toBe(422);
    expect(problem(refused).errors![0]!.message).toBe('This file is too large: a file may have up to 300 MB.');
    expect(arriving()).toEqual([]);
  }, 60_000);

  test('a download of a kite; a file that was never uploaded; limits that cannot be', async () => {
    const { product } = await addProduct(server, 'Kite');
    expect(problem(await send(product.id, 'download', 'x')).errors![0]!.message).toMatch(/Only digital products/);
    const id = await plan();
    const { files } = (await send(id, 'download', 'all pages')).body.product;
    const foreign = [{ ...files[0], content: 'a'.repeat(40) }];
    expect(problem(await patch(id, { files: foreign })).errors![0]!.message).toBe('Upload a file to add it.');
    expect(problem(await patch(id, { downloadLimit: 0 })).errors![0]!.path).toEqual(['fields', 'downloadLimit']);
    expect(problem(await patch(id, { downloadDays: -1 })).errors![0]!.path).toEqual(['fields', 'downloadDays']);
    expect(problem(await patch(id, { kind: 'service' })).title).toMatch(/loses its files for buyers/);
  });

  test('a file that is to be something else is not let in at all', async () => {
    const id = await plan();
    expect(problem(await send(id, 'secret', 'x')).errors![0]!.path).toEqual(['role']);
    expect(arriving()).toEqual([]);
  });

  test('addresses that do not lead to a file', async () => {
    const id = await plan();
    for (const path of [`/files/${id}/f_gone00000`, '/files/p_gone00000/f_x', `/files/${id}/..%2F..%2Fdispona.sqlite`])
      expect((await server.raw(path)).status).toBe(404);
  });
});

test('files keep their order and names through a copy, and lose what is for buyers only with the kind', async () => {
  const id = await plan();
  await send(id, 'manual', 'how');
  const { files } = (await send(id, 'download', 'all')).body.product;
  const renamed = [{ ...files[1]!, name: 'All pages.pdf' }, files[0]!];
  expect((await patch(id, { files: renamed })).body.product.files).toEqual(renamed);
  const copy = await server.call<ProductAnswer>('POST', `/api/products/${id}/copy`);
  expect(copy.body.product.files.map(({ name, content }) => [name, content])).toEqual(
    renamed.map(({ name, content }) => [name, content]),
  );
  expect((await patch(id, { kind: 'physical' }, true)).body.product.files).toEqual([files[0]]);
});
