/**
 * The lowest price that exceeds `cost` by `floor` basis points, tax included where prices include it; rounded up. All
 * amounts in minor units, `taxRate` in basis points.
 */
export function floorPrice(cost: number, floor: number, taxRate: number, taxIncluded: boolean): number {
  const net = (cost * (10_000 + floor)) / 10_000;
  // Less a hair: 110 % of 100 must not become 110.00000001 and be rounded up. What costs nothing must not become -0.
  return Math.max(0, Math.ceil(net * (taxIncluded ? (10_000 + taxRate) / 10_000 : 1) - 1e-6));
}
