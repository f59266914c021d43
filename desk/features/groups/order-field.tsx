import { ArrowDown, ArrowUp, X } from 'lucide-react';
import type { Mix, Order, OrderKey } from '../../../core/model/order';
import { keyWords } from '../../../core/shop/arrangement';
import { Choose } from '../../shared/ui/choose';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';
import { useRuleFields } from '../../data/rules';

const mixes: { value: Mix; label: string }[] = [
  { value: 'none', label: 'not mixed' },
  { value: 'brand', label: 'spread brands' },
  { value: 'category', label: 'spread categories' },
];

/** Which way a key usually goes: what people look for first. */
const goesDown = (by: string) => !['title', 'price'].includes(by);

function KeyChip({
  of,
  label,
  change,
  remove,
}: {
  of: OrderKey;
  label?: string;
  change: (key: OrderKey) => void;
  remove?: () => void;
}) {
  const Arrow = of.down ? ArrowDown : ArrowUp;
  const words = keyWords(of.by, of.down, label);
  return (
    <span className="flex items-center rounded-lg border border-line bg-sheet">
      <button
        type="button"
        title="Turn round"
        onClick={() => change({ ...of, down: !of.down })}
        className="flex items-center gap-1 px-2 py-1"
      >
        <Arrow size={12} aria-hidden="true" /> {words}
      </button>
      {remove && (
        <button
          type="button"
          aria-label={`Remove ${words}`}
          onClick={remove}
          className="px-1.5 py-1 text-ink-2 hover:text-rose"
        >
          <X size={11} aria-hidden="true" />
        </button>
      )}
    </span>
  );
}

interface Props {
  order: Order;
  change: (order: Order) => void;
}

/** How goods stand behind those that are pinned: one key, a second for what it leaves open, and what is spread. */
export function OrderField({ order, change }: Props) {
  const { data } = useRuleFields();
  const orders = data?.orders ?? [];
  const labelOf = (by: string) => orders.find((each) => each.by === by)?.label;
  const { keys } = order;
  const set = (next: OrderKey[]) => change({ ...order, keys: next });
  const choices = orders
    .filter(({ by }) => !keys.some((key) => key.by === by))
    .map(({ by, label }) => ({ value: by, label }));
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <span className="font-semibold">Order</span>
      {keys.map((key, at) => (
        <span key={key.by} className="flex items-center gap-1.5">
          {at > 0 && <span className="text-ink-2">then</span>}
          <KeyChip
            of={key}
            label={labelOf(key.by)}
            change={(next) => set(keys.map((each, i) => (i === at ? next : each)))}
            remove={keys.length > 1 ? () => set(keys.filter((_, i) => i !== at)) : undefined}
          />
        </span>
      ))}
      <Choose
        label={keys.length < 2 ? 'Then by' : 'Order by another'}
        placeholder={keys.length < 2 ? 'then by …' : 'other …'}
        choices={choices}
        choose={(by) => set(keys.length < 2 ? [...keys, { by, down: goesDown(by) }] : [{ by, down: goesDown(by) }])}
        className="w-24"
      />
      <Select
        label="Neighbours"
        value={order.mix}
        choices={mixes}
        choose={(mix) => change({ ...order, mix: mix as Mix })}
      />
      <Tick
        label="sold out last"
        checked={order.soldOutLast}
        change={(soldOutLast) => change({ ...order, soldOutLast })}
      />
    </div>
  );
}
