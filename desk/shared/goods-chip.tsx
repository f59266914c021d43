import { X } from 'lucide-react';
import type { OfferGoods } from '../../core/model/offer';
import { EMPTY_RULE, type Rule } from '../../core/model/rule';
import { useTitles } from '../data/goods';
import { useTriedRule } from '../data/rules';
import { AddProduct } from './pickers/add-product';
import { RuleField } from './rules/rule-field';
import { useTray } from './tray-store';
import { Button } from './ui/button';
import { products } from './ui/count';
import { OneOf } from './ui/one-of';
import { Chip } from './ui/chip';

interface Props {
  goods: OfferGoods;
  change: (goods: OfferGoods) => void;
  error?: string;
}

function RuleWords({ rule }: { rule: Rule }) {
  const { data } = useTriedRule({ rule });
  if (rule.of.length === 0) return <>goods that are not chosen yet</>;
  return <>{data ? data.sentence : 'goods by a rule'}</>;
}

/** So many are told by name; the rest are counted. */
const MOST_NAMED = 100;

/** Goods picked one by one: from the tray or by name, each taken out again. */
function Picked({ ids, change }: { ids: readonly string[]; change: (ids: string[]) => void }) {
  const tray = useTray();
  const named = ids.slice(0, MOST_NAMED);
  const titles = useTitles(named);
  return (
    <>
      {ids.length === 0 ? (
        <p>No goods yet.</p>
      ) : (
        <ul aria-label="Goods picked by hand" className="max-h-56 divide-y divide-hair overflow-y-auto">
          {named.map((id) => {
            const title = titles.get(id) ?? '…';
            return (
              <li key={id} className="flex items-center justify-between gap-3 py-1">
                <span className="truncate">{title}</span>
                <button
                  type="button"
                  aria-label={`Take out ${title}`}
                  onClick={() => change(ids.filter((each) => each !== id))}
                  className="rounded p-1 text-ink-2 hover:text-rose"
                >
                  <X size={13} aria-hidden="true" />
                </button>
              </li>
            );
          })}
          {ids.length > named.length && <li className="py-1 text-ink-2">and {ids.length - named.length} more</li>}
        </ul>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <AddProduct label="Add goods by name" taken={ids} add={(id) => change([...ids, id])} />
        {tray.length > 0 && (
          <Button onClick={() => change([...new Set([...ids, ...tray])])}>
            Add {products(tray.length)} from the tray
          </Button>
        )}
        {ids.length > 0 && (
          <Button look="bare" onClick={() => change([])}>
            Take all out
          </Button>
        )}
      </div>
    </>
  );
}

/** Which goods are meant: all, those that a rule takes in, or those of the tray. */
export function GoodsChip({ goods, change, error }: Props) {
  const words =
    goods.how === 'all' ? (
      'all goods'
    ) : goods.how === 'rule' ? (
      <RuleWords rule={goods.rule} />
    ) : (
      `${goods.ids.length} goods picked by hand`
    );
  return (
    <Chip
      label="Which goods"
      words={words}
      isEmpty={goods.how === 'rule' && goods.rule.of.length === 0}
      error={error}
      width="w-[34rem]"
    >
      <OneOf
        label="Which goods"
        choices={[
          { value: 'rule', label: 'by rule' },
          { value: 'picked', label: 'picked by hand' },
          { value: 'all', label: 'all goods' },
        ]}
        value={goods.how}
        choose={(how) => {
          if (how === goods.how) return;
          change(how === 'all' ? { how } : how === 'rule' ? { how, rule: EMPTY_RULE } : { how: 'picked', ids: [] });
        }}
      />
      {goods.how === 'rule' && <RuleField rule={goods.rule} change={(rule) => change({ how: 'rule', rule })} />}
      {goods.how === 'picked' && <Picked ids={goods.ids} change={(ids) => change({ how: 'picked', ids })} />}
    </Chip>
  );
}
