import { differences, ShopWalk, type PublicAnswers } from './shop-walk';

/** A step after which the law did not hold, with what led there. */
class LawBroken extends Error {}

/**
 * Walks `steps` steps from a seed and holds the law of the live shop after each: a change of the working copy alters no
 * public answer, but for what is live by nature; and every `every` steps, each public answer equals, to the letter, that of
 * a server that starts afresh on a copy of the data. Throws LawBroken.
 */
export async function holdLaw(seed: number, steps: number, every: number): Promise<void> {
  const walk = await ShopWalk.start(seed);
  const broken = (law: string, found: ReturnType<typeof differences>) =>
    new LawBroken(
      `${law} (seed ${seed}, step ${walk.trace.length})\n${walk.trace.slice(-12).join('\n')}\n\n${found.length} answers differ:\n${found
        .slice(0, 4)
        .map(({ address, a, b }) => `${address}\n  before/running: …${a}…\n  after/afresh:   …${b}…`)
        .join('\n')}`,
    );
  try {
    let before = await walk.answers();
    for (let step = 1; step <= steps; step++) {
      const { effect } = await walk.step();
      const after = await walk.answers();
      if (effect === 'none') {
        // What is looked at changes with what there is, and from time to time.
        const both = [...before.keys()].filter((address) => after.has(address));
        const of = (answers: PublicAnswers) => new Map(both.map((address) => [address, answers.get(address)!]));
        const found = differences(of(before), of(after));
        if (found.length > 0) throw broken('A change of the working copy altered what shoppers see', found);
      }
      if (step % every === 0 || step === steps) {
        const found = differences(after, await walk.freshAnswers());
        if (found.length > 0) throw broken('A fresh start answers otherwise than the running server', found);
      }
      before = after;
    }
  } finally {
    walk.close();
  }
}
