import type { AnswerOf } from '../../../contract/route';
import type { ruleRoutes } from '../../../contract/rules';
import { count } from '../../shared/ui/count';
import { Board } from './board';
import { GoodsLines } from './goods-lines';
import { NearMisses } from './near-misses';
import { pinnedFirst, pinsAfterMove } from './pins';
import { WhyProduct } from './why-product';
import type { CollectionEditor } from './use-group-editor';

type Tried = AnswerOf<typeof ruleRoutes.try>;

/** "+3 −1 since live", and who they are when asked. */
function SinceLive({ joins, leaves }: Pick<Tried, 'joins' | 'leaves'>) {
  if (!joins || !leaves || joins.total + leaves.total === 0) return null;
  return (
    <details className="px-3.5 pb-1">
      <summary className="text-ink-2">
        against the live shop: <strong className="text-petrol">+{count(joins.total)}</strong>{' '}
        <strong className="text-rose">−{count(leaves.total)}</strong>
      </summary>
      <div className="grid grid-cols-2 gap-4 pt-1">
        <GoodsLines goods={joins.goods} note={() => <span className="text-petrol">joins</span>} />
        <GoodsLines goods={leaves.goods} note={() => <span className="text-rose-ink">leaves</span>} />
      </div>
    </details>
  );
}

interface Props {
  tried: Tried | undefined;
  editor: CollectionEditor;
  currency: string;
}

/** Who a rule takes in, in order, with pins and leave-outs; who it just misses; and why for any product. */
export function RuleGoods({ tried, editor, currency }: Props) {
  const [rule, pins, leftOut] = [editor.value('rule'), editor.value('pins'), editor.value('leftOut')];
  const togglePin = (id: string) =>
    editor.change({ pins: pins.includes(id) ? pins.filter((each) => each !== id) : [...pins, id] });
  return (
    <>
      <section className="sheet pt-3" aria-label="Goods on this shelf" aria-live="polite">
        <h2 className="px-3.5 pb-1 font-display text-[15px] font-bold">
          {tried ? `${count(tried.total)} in` : '…'}
          <span className="ml-2 font-sans text-xs font-normal text-ink-2">
            as shoppers will see them · drag one to hold it there
          </span>
        </h2>
        {tried && <SinceLive joins={tried.joins} leaves={tried.leaves} />}
        {tried && tried.total > 0 ? (
          <Board
            goods={editor.value('order').soldOutLast ? tried.goods : pinnedFirst(tried.goods, pins)}
            currency={currency}
            wraps
            pins={pins}
            togglePin={togglePin}
            reorder={(ids, moved) => editor.change({ pins: pinsAfterMove(ids, moved, pins) })}
            remove={(id) => editor.change({ leftOut: [...leftOut, id], pins: pins.filter((each) => each !== id) })}
            removeWords="Leave out"
          />
        ) : (
          <p className="px-3.5 pb-4 text-ink-2">
            {rule.of.length === 0
              ? 'A rule without conditions takes in nothing. Add one on the left.'
              : 'No product meets this. What stands in the way of the nearest ones is below.'}
          </p>
        )}
        {tried && tried.total > tried.goods.length && (
          <p className="px-3.5 py-2 text-xs text-ink-2">
            and {count(tried.total - tried.goods.length)} more behind them
          </p>
        )}
      </section>
      {tried && tried.leftOut.length > 0 && (
        <section className="sheet p-3.5" aria-label="Left out by hand">
          <h2 className="font-display text-[15px] font-bold">Left out by hand</h2>
          <GoodsLines
            goods={tried.leftOut}
            note={() => 'out, whatever the rule says'}
            action={({ id }) => (
              <button
                type="button"
                onClick={() => editor.change({ leftOut: leftOut.filter((each) => each !== id) })}
                className="shrink-0 font-semibold text-petrol hover:underline"
              >
                Let it in again
              </button>
            )}
          />
        </section>
      )}
      {tried && <NearMisses nearMisses={tried.nearMisses} />}
      <WhyProduct rule={rule} leftOut={leftOut} />
    </>
  );
}
