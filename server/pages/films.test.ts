import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { backUp } from '../folder/backup';
import { finishRestore, unpackBackup } from '../folder/restore';
import { filePath } from '../media/file-store';
import { problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeAll(async () => void (server = await startServer()));
afterAll(() => server.close());

const mp4 = Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypisom'), Buffer.alloc(2_000, 7)]);
const webm = Buffer.concat([Buffer.from([0x1a, 0x45, 0xdf, 0xa3]), Buffer.alloc(50)]);
const captions = 'WEBVTT\n\n00:00.000 --> 00:02.000\nThe wind picks up.\n';

function send(content: string | Buffer) {
  const form = new FormData();
  form.append('files', new Blob([typeof content === 'string' ? content : new Uint8Array(content)]), 'anything');
  return server.call<{ name: string }>('POST', '/api/pages/films', form);
}

test('films and captions are told by their content, and served in parts', async () => {
  const names = [(await send(mp4)).body.name, (await send(webm)).body.name, (await send(captions)).body.name];
  expect(names.map((name) => name.split('.')[1])).toEqual(['mp4', 'webm', 'vtt']);
  expect((await send(mp4)).body.name).toBe(names[0]);
  const part = await server.raw(`/films/${names[0]}`, { headers: { Range: 'bytes=0-99' } });
  expect([part.status, part.headers.get('content-type')]).toEqual([206, 'video/mp4']);
  expect((await part.arrayBuffer()).byteLength).toBe(100);
  const words = await server.raw(`/films/${names[2]}`);
  expect(words.headers.get('content-type')).toBe('text/vtt; charset=utf-8');
  expect(words.headers.get('x-content-type-options')).toBe('nosniff');
  expect(await words.text()).toBe(captions);
});

test('what is no film is refused at the field, and addresses lead to nothing else', async () => {
  for (const content of ['<html><script>alert(1)</script>', 'WEBVTTX', Buffer.from([0, 0])]) {
    const refused = await send(content);
    expect(refused.status).toBe(422);
    expect(problem(refused).errors![0]!.message).toMatch(/MP4, WebM and WebVTT/);
  }
  for (const path of ['..%2f..%2fdispona.sqlite', `${'a'.repeat(40)}.mp4`, `${'a'.repeat(40)}.exe`])
    expect((await server.raw(`/films/${path}`)).status).toBe(404);
});

test('a backup has the films', async () => {
  const { name } = (await send(mp4)).body;
  const home = mkdtempSync(join(tmpdir(), 'dispona-'));
  await backUp(server.folder, join(home, 'copy.zip'), new Date());
  await unpackBackup(join(home, 'copy.zip'), join(home, 'again'), new Date());
  finishRestore(join(home, 'again'));
  expect(existsSync(filePath(join(home, 'again', 'films'), name.split('.')[0]!))).toBe(true);
  rmSync(home, { recursive: true });
});
