import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** The file of a thread, beside the file with the address `from`: a chunk of its own, or while Dispona is developed, the source. */
export function builtOrSource(from: string, built: string, source: string): URL | undefined {
  return [built, source].map((name) => new URL(name, from)).find((url) => existsSync(fileURLToPath(url)));
}
