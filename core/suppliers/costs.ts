import type { CostFrom, Supply } from '../model/supplier';

/** What a piece costs on a day (YYYY-MM-DD); undefined before the first cost that is known. `costs`: the earliest first. */
export const costOn = (costs: readonly CostFrom[], day: string): number | undefined =>
  costs.filter(({ from }) => from <= day).at(-1)?.cost;

/** The cost that comes into force after one day and up to another, if one does; of several, the last. */
export function costComing(costs: readonly CostFrom[], after: string, until: string): number | undefined {
  const last = costs.filter(({ from }) => from <= until).at(-1);
  return last && last.from > after ? last.cost : undefined;
}

interface HandOver {
  /** what the supplier of before keeps of the variant; undefined where nothing was known */
  kept: Supply | undefined;
  /** what the variant is known by and costs from now on */
  fields: { supplierNumber: string; cost?: number };
}

/**
 * A variant goes from one supplier to another on a day: the one keeps number and cost that it had, the other brings its own. A cost
 * that the other never told stays as it was.
 */
export function handOver(
  { supplierNumber, cost }: { supplierNumber: string; cost: number | null },
  { former, next, day }: { former: Supply | undefined; next: Supply | undefined; day: string },
): HandOver {
  const agreed = next && costOn(next.costs, day);
  const fields = { supplierNumber: next?.number ?? '', ...(agreed === undefined ? {} : { cost: agreed }) };
  if (supplierNumber === '' && cost === null) return { kept: former, fields };
  const now = cost === null ? [] : [{ from: day, cost }];
  const costs = [...(former?.costs ?? []).filter(({ from }) => from !== day), ...now];
  return { kept: { number: supplierNumber, costs: costs.sort((a, b) => (a.from < b.from ? -1 : 1)) }, fields };
}
