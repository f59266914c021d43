import { setToken } from '../data/api';
import { request } from 'node:http';

/** What requests of a browser that is signed in carry along. */
interface Session {
  url: string;
  cookie: string;
}

interface Init {
  method?: string;
  headers?: Record<string, string>;
  body?: string | FormData | URLSearchParams;
}

const BOUNDARY = 'part-of-a-form';

const bytesOf = (file: Blob) =>
  new Promise<Buffer>((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(Buffer.from(reader.result as ArrayBuffer));
    reader.readAsArrayBuffer(file);
  });

/** A form with files, as a browser sends it. */
async function partsOf(form: FormData): Promise<Buffer> {
  const parts: Buffer[] = [];
  for (const [name, file] of form.entries()) {
    if (typeof file === 'string') continue;
    const head = `--${BOUNDARY}\r\nContent-Disposition: form-data; name="${name}"; filename="${file.name}"\r\n\r\n`;
    parts.push(Buffer.from(head), await bytesOf(file), Buffer.from('\r\n'));
  }
  return Buffer.concat([...parts, Buffer.from(`--${BOUNDARY}--\r\n`)]);
}

let held: Promise<void> | undefined;

/** Keeps back every answer of the server, as a slow network does, until what it returns is called. */
export function holdAnswers(): () => void {
  let release: () => void;
  held = new Promise((resolve) => (release = resolve));
  return () => {
    held = undefined;
    release();
  };
}

/**
 * The `fetch` of a browser in front of a real server, for desks drawn without a browser. Addresses without a host go to the
 * server of `session`; before there is one, only whole addresses work.
 */
function browseWith(session: () => Session | undefined): void {
  globalThis.fetch = ((address: string, { method = 'GET', headers = {}, body }: Init = {}) => {
    const known = session();
    const isOwn = address.startsWith('/');
    return new Promise((resolve, reject) => {
      const sent = request(
        isOwn ? known!.url + address : address,
        {
          method,
          headers: {
            ...headers,
            ...(isOwn && { Cookie: known!.cookie }),
            ...(body instanceof FormData && { 'Content-Type': `multipart/form-data; boundary=${BOUNDARY}` }),
            // Without a length Node sends no body along with DELETE.
            ...(body !== undefined &&
              !(body instanceof FormData) && { 'Content-Length': Buffer.byteLength(body.toString()) }),
            ...(body instanceof URLSearchParams && { 'Content-Type': 'application/x-www-form-urlencoded' }),
          },
        },
        (response) => {
          const chunks: Buffer[] = [];
          response.on('data', (chunk: Buffer) => chunks.push(chunk));
          const told = () => {
            const text = Buffer.concat(chunks).toString();
            const header = (name: string) => response.headers[name.toLowerCase()];
            resolve({
              ok: response.statusCode! < 400,
              status: response.statusCode,
              headers: { get: (name: string) => [header(name) ?? null].flat()[0] },
              text: () => Promise.resolve(text),
              json: () => Promise.resolve(JSON.parse(text) as unknown),
            });
          };
          response.on('end', () => void Promise.resolve(held).then(told));
        },
      );
      sent.on('error', reject);
      if (body instanceof FormData) void partsOf(body).then((bytes) => sent.end(bytes));
      else sent.end(body?.toString());
    });
  }) as never;
}

/** Gives everything a size, so that long lists draw the rows that would be in view. */
function giveRoom(): void {
  const size = { offsetHeight: 700, offsetWidth: 1_200, clientHeight: 700, clientWidth: 1_200 };
  for (const [name, value] of Object.entries(size))
    Object.defineProperty(window.HTMLElement.prototype, name, { configurable: true, value });
}

/** Lets the tests of a file stand before a server of their own; `start` makes it and fills it. Answers the server. */
export function onServer<S extends Session & { token: string; close: () => Promise<void> }>(
  start: () => Promise<S>,
): () => S {
  let server: S | undefined;
  browseWith(() => server);
  beforeAll(async () => {
    giveRoom();
    server = await start();
    setToken(server.token);
  });
  afterAll(() => server!.close());
  return () => server!;
}
