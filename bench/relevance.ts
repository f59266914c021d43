import { measureRelevance } from '../demo/relevance/measure';
import type { ResolvedShop } from '../core/shop/resolved-shop';

/** How well the demo shop answers judged queries: the mean of what the first ten gain, and how many find nothing. */
export function relevanceWords(shop: ResolvedShop): string {
  const answers = measureRelevance(shop);
  const mean = answers.reduce((sum, { ndcg }) => sum + ndcg, 0) / answers.length;
  const empty = answers.filter(({ total }) => total === 0).length;
  const worst = [...answers].sort((a, b) => a.ndcg - b.ndcg).slice(0, 5);
  return `${answers.length} judged queries: nDCG@10 ${mean.toFixed(3)}, ${empty} without an answer. The worst: ${worst
    .map(({ q, ndcg }) => `“${q}” ${ndcg.toFixed(2)}`)
    .join(', ')}.`;
}
