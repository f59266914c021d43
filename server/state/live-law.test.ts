import { holdLaw } from '../testing/live-law';

/** For longer walks: `LAW_SEEDS=1,2,3 LAW_STEPS=2000 npx jest live-law`. */
const steps = Number(process.env.LAW_STEPS ?? 30);
const seeds = (process.env.LAW_SEEDS ?? '1,2,3').split(',').map(Number);

describe('the live shop is what the edition says, whatever happened', () => {
  test.each(seeds)(
    'and what the running server answers is what a fresh start answers (seed %d)',
    async (seed) => {
      await holdLaw(seed, steps, 4);
    },
    3_600_000,
  );
});
