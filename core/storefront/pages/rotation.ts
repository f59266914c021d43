/** Random numbers of at least 0 and below 1, always the same for the same text. */
function seeded(text: string): () => number {
  let state = 2_166_136_261;
  for (let i = 0; i < text.length; i++) state = Math.imul(state ^ text.charCodeAt(i), 16_777_619);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** The things in an order that follows from the seed alone, every order being as likely. O(n). */
export function shuffled<T>(things: readonly T[], seed: string): T[] {
  const random = seeded(seed);
  const order = [...things];
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j]!, order[i]!];
  }
  return order;
}

/**
 * So many of the things for a day (days since 1970): they take turns. Within as many days as it takes all of them have their
 * turn, in an order of that round's own; only where the last day of a round has room left does somebody come twice. The same
 * day always has the same choice. O(things).
 */
export function choiceOfDay<T>(things: readonly T[], count: number, seed: string, day: number): T[] {
  if (count >= things.length) return shuffled(things, `${seed} ${day}`);
  const days = Math.ceil(things.length / count);
  const round = Math.floor(day / days);
  const order = shuffled(things, `${seed} ${round}`);
  const first = (day - round * days) * count;
  return Array.from({ length: count }, (_, i) => order[(first + i) % order.length]!);
}
