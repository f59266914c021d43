import { canonicalJson } from '../../core/shared/canonical-json';

const isJson = (text: string) => text.startsWith('{') || text.startsWith('[');

function canonical(text: string): string {
  try {
    return canonicalJson(JSON.parse(text));
  } catch {
    return text;
  }
}

/** Do two cells hold the same? What is stored as JSON may be written in different ways. */
function isSameCell(a: unknown, b: unknown): boolean {
  if (a === b || (a ?? null) === (b ?? null)) return true;
  if (typeof a !== 'string' || typeof b !== 'string' || !isJson(a) || !isJson(b)) return false;
  return canonical(a) === canonical(b);
}

/** Do two rows, as the journal tells them in JSON, hold the same? null stands for no row. */
export function isSameRow(a: string | null, b: string | null): boolean {
  if (a === b) return true;
  if (a === null || b === null) return false;
  const [x, y] = [JSON.parse(a) as Record<string, unknown>, JSON.parse(b) as Record<string, unknown>];
  return [...new Set([...Object.keys(x), ...Object.keys(y)])].every((name) => isSameCell(x[name], y[name]));
}
