import { existsSync, readFileSync, writeFileSync } from 'node:fs';

const FILE = 'docs/bench.md';

/** The parts of the report that are measured by other commands, which a run of one of them leaves as they are. */
export function putIntoReport(heading: string, text: string): void {
  const report = existsSync(FILE) ? readFileSync(FILE, 'utf8') : '# Measurements\n';
  const begin = `<!-- ${heading}: begin -->`;
  const end = `<!-- ${heading}: end -->`;
  const part = `${begin}\n\n${text}\n\n${end}`;
  const [at, to] = [report.indexOf(begin), report.indexOf(end)];
  const next =
    at >= 0 && to > at
      ? report.slice(0, at) + part + report.slice(to + end.length)
      : `${report.trimEnd()}\n\n## ${heading}\n\n${part}\n`;
  writeFileSync(FILE, next);
}
