/**
 * Parts of a whole amount in proportion to weights, by largest remainder: integers that add up to `total` exactly. Where all
 * weights are zero, the first takes all; no parts without weights. O(n log n).
 */
export function apportion(total: number, weights: readonly number[]): number[] {
  if (weights.length === 0) return [];
  const sum = weights.reduce((all, weight) => all + weight, 0);
  if (sum === 0) return weights.map((_, i) => (i === 0 ? total : 0));
  // Exact: amounts times weights go beyond what numbers can hold.
  const [whole, all] = [BigInt(total), BigInt(sum)];
  const shares = weights.map((weight) => {
    const product = whole * BigInt(weight);
    return { share: product / all, rest: product % all };
  });
  let left = Number(whole - shares.reduce((given, { share }) => given + share, 0n));
  const order = shares.map((_, i) => i).sort((a, b) => Number(shares[b]!.rest - shares[a]!.rest) || a - b);
  const parts = shares.map(({ share }) => Number(share));
  for (const i of order) {
    if (left <= 0) break;
    parts[i]!++;
    left--;
  }
  return parts;
}
