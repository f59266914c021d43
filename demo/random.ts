/** A seeded source of numbers in [0, 1): the same seed always gives the same demo. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

export function seedOf(text: string): number {
  let hash = 2_166_136_261;
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16_777_619);
  return hash >>> 0;
}
