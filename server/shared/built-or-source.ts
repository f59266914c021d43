import { existsSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

/** The file of a thread, beside the file with the address `from`: a chunk of its own, or while Dispona is developed, the source. */
export function builtOrSource(from: string, built: string, source: string): URL {
  const url = new URL(built, from);
  return existsSync(fileURLToPath(url)) ? url : new URL(source, from);
}
