import type { CostFrom } from '../model/supplier';

/** What a piece costs on a day (YYYY-MM-DD); undefined before the first cost that is known. `costs`: the earliest first. */
export const costOn = (costs: readonly CostFrom[], day: string): number | undefined =>
  costs.filter(({ from }) => from <= day).at(-1)?.cost;

/** The cost that comes into force after one day and up to another, if one does; of several, the last. */
export function costComing(costs: readonly CostFrom[], after: string, until: string): number | undefined {
  const last = costs.filter(({ from }) => from <= until).at(-1);
  return last && last.from > after ? last.cost : undefined;
}
