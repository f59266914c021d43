import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { ProductAnswer } from '../../../../contract/product';
import { EMPTY_BUNDLE, MAX_SLOTS, type Bundle, type Slot } from '../../../../core/model/bundle';
import { formatMoney, formatPriceRange } from '../../../../core/shared/money';
import { EMPTY_RULE } from '../../../../core/model/rule';
import { newId } from '../../../shared/new-id';
import { RuleField } from '../../../shared/rules/rule-field';
import type { Autosave } from '../../../shared/autosave/autosave';
import { Button } from '../../../shared/ui/button';
import { TextField } from '../../../shared/ui/field';
import { MeasureField } from '../../../shared/ui/measure-field';
import { readPercent, readWhole } from '../../../shared/ui/readings';
import { Select } from '../../../shared/ui/select';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { Thumb } from '../../../shared/ui/thumb';
import { PickedProducts } from '../picked-products';
import { useProductField } from './use-product-autosave';
import { Part } from './part';

/** A bundle that can be made so few times is about to run out. */
const FEW = 5;

type Facts = NonNullable<ProductAnswer['bundle']>;

const runsOut = ({ stock }: Facts) => (stock === 0 ? 'has run out' : 'runs out first');

interface SlotProps {
  slot: Slot;
  answer: ProductAnswer;
  facts: Facts['slots'][number] | undefined;
  isScarce: boolean;
  change: (slot: Slot) => void;
  remove: () => void;
  grip: ReactNode;
}

function Pieces({ label, value, change }: { label: string; value: number; change: (value: number) => void }) {
  return (
    <div className="w-12">
      <MeasureField
        label={label}
        hideLabel
        shown={String(value)}
        read={readWhole}
        change={(next) => change(next as number)}
        className="text-right"
      />
    </div>
  );
}

function SlotRow({ slot, answer, facts, isScarce, change, remove, grip }: SlotProps) {
  const { product, related, currency } = answer;
  const { from } = slot;
  const parts = facts?.parts ?? [];
  return (
    <div className="rounded-[10px] border border-hair bg-paper/40 p-2.5">
      <div className="flex flex-wrap items-center gap-2">
        {grip}
        <div className="w-32">
          <TextField
            label={`Name of slot ${slot.label}`}
            hideLabel
            value={slot.label}
            onChange={(event) => change({ ...slot, label: event.target.value })}
          />
        </div>
        <span className="flex items-center gap-1.5">
          takes
          <Pieces
            label={`Fewest pieces of ${slot.label}`}
            value={slot.min}
            change={(min) => change({ ...slot, min })}
          />
          to
          <Pieces label={`Most pieces of ${slot.label}`} value={slot.max} change={(max) => change({ ...slot, max })} />
          of
        </span>
        <Select
          label={`Goods of ${slot.label}`}
          value={from.how}
          choices={[
            { value: 'picked', label: 'goods picked by hand' },
            { value: 'rule', label: 'goods filled by rule' },
          ]}
          choose={(how) =>
            how !== from.how &&
            change({
              ...slot,
              from: how === 'rule' ? { how, rule: EMPTY_RULE } : { how: 'picked', ids: [] },
              usual: null,
            })
          }
        />
        {facts && (
          <span className={isScarce || facts.total === 0 ? 'font-semibold text-rose-ink' : 'text-ink-2'}>
            {facts.total === 0
              ? 'nothing to choose yet'
              : isScarce
                ? runsOut(answer.bundle!)
                : facts.total > 1 && `${facts.total} to choose from`}
          </span>
        )}
        <button
          type="button"
          aria-label={`Remove slot ${slot.label}`}
          onClick={remove}
          className="ml-auto rounded p-1 text-ink-2 hover:text-rose"
        >
          <X size={13} aria-hidden="true" />
        </button>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2 pl-7">
        {from.how === 'picked' ? (
          <PickedProducts
            ids={from.ids}
            known={related}
            without={[product.id]}
            change={(ids) =>
              change({
                ...slot,
                from: { how: 'picked', ids },
                usual: slot.usual !== null && ids.includes(slot.usual) ? slot.usual : null,
              })
            }
            note={(id) => {
              const part = parts.find((each) => each.id === id);
              if (!part) return <span className="text-xs text-rose-ink">cannot be had</span>;
              return (
                <span className="text-xs text-ink-2">
                  {formatMoney(part.price, currency)} · {part.stock ?? '∞'}
                </span>
              );
            }}
          />
        ) : (
          <div className="w-full">
            <RuleField rule={from.rule} change={(rule) => change({ ...slot, from: { how: 'rule', rule } })} />
            <div className="mt-2 flex flex-wrap gap-1.5">
              {parts.map(({ id, title, thumbnail }) => (
                <span key={id} title={title}>
                  <Thumb src={thumbnail} alt={title} className="size-8" />
                </span>
              ))}
              {facts && facts.total > parts.length && (
                <span className="self-center text-ink-2">and {facts.total - parts.length} more</span>
              )}
            </div>
          </div>
        )}
        {parts.length > 1 && (
          <span className="flex items-center gap-1.5 text-ink-2">
            chosen first
            <Select
              label={`Chosen first in ${slot.label}`}
              value={slot.usual ?? ''}
              choices={[
                { value: '', label: 'the first that can be had' },
                ...parts.map(({ id, title }) => ({ value: id, label: title })),
              ]}
              choose={(id) => change({ ...slot, usual: id || null })}
              className="max-w-52"
            />
          </span>
        )}
      </div>
    </div>
  );
}

/** How often it can be made, what it costs, and why. */
function Outcome({ facts, slots, currency }: { facts: Facts; slots: readonly Slot[]; currency: string }) {
  if (slots.length === 0) return <p className="text-ink-2">Add a slot for each thing that is in it.</p>;
  const isOpen = slots.every(({ min }) => min === 0);
  const made = facts.stock === null ? 'as often as wanted' : `${facts.stock} times`;
  return (
    <p aria-live="polite">
      Costs <strong>{formatPriceRange(facts.price.min, facts.price.max, currency)}</strong>.{' '}
      {isOpen ? (
        <>
          Every slot may stay empty: its goods are sold side by side,{' '}
          <strong>{facts.stock === null ? 'without an end' : `${facts.stock} pieces`}</strong> in all.
        </>
      ) : (
        <>
          Can be made <strong className={facts.stock === 0 ? 'text-rose-ink' : undefined}>{made}</strong>
          {facts.scarce.length > 0 && facts.stock !== null
            ? facts.scarce.length === 1
              ? `; “${facts.scarce[0]}” ${runsOut(facts)}.`
              : `; ${facts.scarce.map((label) => `“${label}”`).join(' and ')} share goods that run out first.`
            : '.'}
        </>
      )}
    </p>
  );
}

/** What a bundle is made of, and how its price comes about. */
export function BundlePart({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  const { currency, bundle: facts } = answer;
  const { value, error, change } = useProductField(save, 'bundle');
  const bundle: Bundle = value ?? EMPTY_BUNDLE;
  const { slots, pricing } = bundle;
  const setSlots = (next: Slot[]) => change({ ...bundle, slots: next });
  return (
    <Part
      id="bundle"
      title="What is in it"
      hint="each slot holds one product, a choice of products, or what a rule takes in"
    >
      <SortableRows
        className="flex flex-col gap-2"
        items={slots}
        keyOf={({ id }) => id}
        reorder={setSlots}
        draw={(slot, grip) => (
          <SlotRow
            slot={slot}
            answer={answer}
            grip={grip}
            facts={facts?.slots.find(({ id }) => id === slot.id)}
            isScarce={(facts?.stock ?? Infinity) <= FEW && (facts?.scarce.includes(slot.label) ?? false)}
            change={(next) => setSlots(slots.map((each) => (each.id === slot.id ? next : each)))}
            remove={() => setSlots(slots.filter(({ id }) => id !== slot.id))}
          />
        )}
      />
      {error && (
        <p role="alert" className="mt-2 font-semibold text-rose-ink">
          Not saved yet: {error}
        </p>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-2">
        {slots.length < MAX_SLOTS && (
          <Button
            look="bare"
            className="-ml-2"
            onClick={() =>
              setSlots([
                ...slots,
                {
                  id: newId('z'),
                  label: `Part ${slots.length + 1}`,
                  from: { how: 'picked', ids: [] },
                  min: 1,
                  max: 1,
                  usual: null,
                },
              ])
            }
          >
            <Plus size={13} aria-hidden="true" /> Slot
          </Button>
        )}
        <span className="flex items-center gap-2">
          Price
          <Select
            label="How the bundle is priced"
            value={pricing.how}
            choices={[
              { value: 'fixed', label: 'one price, in the table below' },
              { value: 'parts', label: 'its parts, less a percentage' },
            ]}
            choose={(how) => change({ ...bundle, pricing: how === 'parts' ? { how, off: 1_000 } : { how: 'fixed' } })}
          />
          {pricing.how === 'parts' && (
            <div className="w-20">
              <MeasureField
                label="Percentage off the parts"
                hideLabel
                shown={`${pricing.off / 100} %`}
                read={readPercent}
                change={(off) => change({ ...bundle, pricing: { how: 'parts', off: off as number } })}
                className="text-right"
              />
            </div>
          )}
        </span>
      </div>
      <div className="mt-3 border-t border-hair pt-2.5">
        {facts && <Outcome facts={facts} slots={slots} currency={currency} />}
      </div>
    </Part>
  );
}
