export { seeded } from '../core/testing/seeded';

export function seedOf(text: string): number {
  let hash = 2_166_136_261;
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16_777_619);
  return hash >>> 0;
}
