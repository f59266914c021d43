import type { AnswerOf } from '../../../contract/route';
import type { ruleRoutes } from '../../../contract/rules';
import { count } from '../../shared/ui/count';
import { GoodsLines } from './goods-lines';

/** "needs tag Windy, or category Box kites": the verb once. */
export const orOf = (lacks: readonly string[]) =>
  lacks
    .map((words, i) => (i > 0 && lacks[0]!.startsWith('needs ') ? words.replace(/^needs /, '') : words))
    .join(', or ');

type Tried = AnswerOf<typeof ruleRoutes.try>;

/** Goods that fail exactly one condition, with what they lack. */
export function NearMisses({ nearMisses }: Pick<Tried, 'nearMisses'>) {
  const { total, goods } = nearMisses;
  if (total === 0) return null;
  return (
    <section className="sheet p-3.5" aria-label="One condition short">
      <h2 className="font-display text-[15px] font-bold">
        One condition short{' '}
        <span className="font-sans text-xs font-normal text-ink-2">
          {count(total)} {total === 1 ? 'product' : 'products'}: what each would need to join
        </span>
      </h2>
      <GoodsLines goods={goods} note={({ lacks }) => <span className="text-rose-ink">{orOf(lacks)}</span>} />
      {total > goods.length && <p className="pt-1 text-xs text-ink-2">and {count(total - goods.length)} more</p>}
    </section>
  );
}
