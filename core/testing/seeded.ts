/** A seeded source of numbers in [0, 1): the same seed always gives the same numbers. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A count of what comes at a steady rate, so many on average. */
export function poisson(random: () => number, mean: number): number {
  const limit = Math.exp(-mean);
  let product = random();
  let count = 0;
  while (product > limit) {
    product *= random();
    count++;
  }
  return count;
}
