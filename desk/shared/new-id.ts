const LETTERS = '0123456789abcdefghijklmnopqrstuvwxyz';

/** An id for a part that is made here, so that it keeps its place on screen when it is saved. */
export function newId(prefix: 's' | 'm' | 'a' | 'q' | 'z' | 'bdg' | 'dlv' | 'pay'): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return `${prefix}_${Array.from(bytes, (byte) => LETTERS[byte % 36]).join('')}`;
}
