import type { OfferGoods } from '../../core/model/offer';
import { EMPTY_RULE, type Rule } from '../../core/model/rule';
import { useTriedRule } from '../data/rules';
import { RuleField } from './rules/rule-field';
import { useTray } from './tray-store';
import { Button } from './ui/button';
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

/** Which goods are meant: all, those that a rule takes in, or those of the tray. */
export function GoodsChip({ goods, change, error }: Props) {
  const tray = useTray();
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
      {goods.how === 'picked' && (
        <>
          <p>{goods.ids.length === 0 ? 'No goods yet.' : `${goods.ids.length} goods.`}</p>
          <Button
            disabled={tray.length === 0}
            onClick={() => change({ how: 'picked', ids: [...new Set([...goods.ids, ...tray])] })}
            className="self-start"
          >
            Add the {tray.length} goods of the tray
          </Button>
          {goods.ids.length > 0 && (
            <Button look="bare" className="self-start" onClick={() => change({ how: 'picked', ids: [] })}>
              Take all out
            </Button>
          )}
        </>
      )}
    </Chip>
  );
}
