import { get, type IncomingMessage } from 'node:http';
import { addProduct, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeAll(async () => (server = await startServer()));
afterAll(() => server.close());

interface Stream {
  /** all that came, as event and data */
  told: { event: string; data: unknown }[];
  ended: Promise<void>;
  close: () => void;
}

/** Listens as a tab of the desk does; answers once the server says hello. */
function listen(cookie = server.cookie): Promise<Stream> {
  return new Promise((resolve, reject) => {
    const request = get(`${server.url}/api/events`, { headers: { Cookie: cookie } }, (response: IncomingMessage) => {
      if (response.statusCode !== 200) return reject(new Error(String(response.statusCode)));
      let text = '';
      const told: Stream['told'] = [];
      const ended = new Promise<void>((end) => response.on('close', end));
      response.on('data', (chunk: Buffer) => {
        text += chunk.toString();
        for (let at = text.indexOf('\n\n'); at >= 0; at = text.indexOf('\n\n')) {
          const block = text.slice(0, at);
          text = text.slice(at + 2);
          if (block.startsWith(': hello')) resolve({ told, ended, close: () => request.destroy() });
          const [, event, data] = /^event: (.*)\ndata: (.*)$/.exec(block) ?? [];
          if (event) told.push({ event, data: JSON.parse(data!) as unknown });
        }
      });
    });
    request.on('error', () => undefined);
  });
}
const until = async (holds: () => boolean) => {
  while (!holds()) await new Promise((resolve) => setTimeout(resolve, 5));
};

test('every tab hears what was changed, by name, and that something went live', async () => {
  const tabs = [await listen(), await listen()];
  const { product } = await addProduct(server, 'Harrier delta');
  await server.call('POST', '/api/editions', {});
  for (const { told } of tabs) {
    await until(() => told.length >= 3);
    expect(told.every(({ data }) => typeof (data as { id: unknown }).id === 'number')).toBe(true);
    const subjects = told.flatMap(({ data }) => (data as { subjects: string[] | null }).subjects ?? []);
    expect(subjects).toContain(`product:${product.id}`);
  }
  expect(new Set(tabs[0]!.told.map(({ event }) => event)).size).toBeGreaterThan(1);
  for (const tab of tabs) tab.close();
});

test('of a change of very many things the names are not told: the tab then refreshes everything', async () => {
  const ids: string[] = [];
  for (let i = 0; i < 3; i++) ids.push((await addProduct(server, `Kite ${i}`)).product.id);
  const tab = await listen();
  server.catalog.events.emit('event', {
    type: 'changed',
    id: 9_999,
    subjects: Array.from({ length: 201 }, (_, i) => `product:p_${i}`),
  });
  await until(() => tab.told.length > 0);
  expect(tab.told[0]!.data).toEqual({ id: 9_999, subjects: null });
  tab.close();
});

test('nobody who is not signed in hears anything, and signing out ends the stream', async () => {
  await expect(listen('none=1')).rejects.toThrow('401');
  const tab = await listen();
  await server.call('DELETE', '/api/session');
  await tab.ended;
});
