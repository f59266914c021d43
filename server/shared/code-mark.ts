import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const own = fileURLToPath(import.meta.url);
const isBuilt = own.endsWith('.js');

/** All files of the program that is running: the built ones, which stand beside this one, or its source. */
function codeFiles(): string[] {
  const here = dirname(own);
  const folders = isBuilt ? [here] : [join(here, '..'), join(here, '..', '..', 'core')];
  const isCode = (name: string) => (isBuilt ? name.endsWith('.js') : /\.ts$/.test(name) && !/\.test\.ts$/.test(name));
  return folders.flatMap((folder) =>
    (readdirSync(folder, { recursive: true }) as string[])
      .filter(isCode)
      .sort()
      .map((name) => join(folder, name)),
  );
}

/** Tells one version of the program, and of what runs it, from every other: what one of them worked out, only it reads again. */
export function codeMark(): string {
  const hash = createHash('sha1').update(process.version);
  for (const file of codeFiles()) hash.update(readFileSync(file));
  return hash.digest('hex');
}
