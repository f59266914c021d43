import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const FILE = 'docs/bench.md';
const read = () => (existsSync(FILE) ? readFileSync(FILE, 'utf8') : '# Measurements\n');

/** Parts that another command measured stand between marks, heading and all. */
const marked = /\n<!-- part: [^>]* -->\n[\s\S]*?<!-- end -->\n/g;

/** Writes the report anew, with the parts of other commands as they are. */
export function writeReport(text: string): void {
  const parts = read().match(marked) ?? [];
  writeFileSync(FILE, `${text.trimEnd()}\n${parts.join('')}`);
}

/** Puts a part into the report, in the place of what the same command measured before. */
export function putIntoReport(heading: string, text: string): void {
  const part = `\n<!-- part: ${heading} -->\n\n## ${heading}\n\n${text}\n\n<!-- end -->\n`;
  const rest = read().replace(marked, (old) => (old.startsWith(`\n<!-- part: ${heading} -->`) ? '' : old));
  writeFileSync(FILE, `${rest.trimEnd()}\n${part}`);
}
