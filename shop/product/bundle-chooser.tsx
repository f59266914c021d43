import { useState } from 'react';
import type { BundlePartView, BundleView } from '../../core/storefront/views';
import { useBase } from '../base';
import { Picture } from '../ui/picture';
import { choose, missingOf, sumOf, type BundleChoice } from './bundle-choice';
import { inMoney, say } from '../tongue';

type SlotView = BundleView['slots'][number];

interface PartProps {
  slot: SlotView;
  part: BundlePartView;
  choice: BundleChoice;
  set: (choice: BundleChoice) => void;
  showsPrices: boolean;
  currency: string;
}

const stepper =
  'flex size-8 items-center justify-center rounded-full border border-line text-lg leading-none hover:border-ink disabled:opacity-30';

/** One product of a slot: chosen with a click where one is taken, counted where more are. */
function Part({ slot, part, choice, set, showsPrices, currency }: PartProps) {
  const base = useBase();
  const chosen = choice[slot.id] ?? {};
  const [wanted, setWanted] = useState<string | null>(null);
  const current =
    part.variants.find(({ id }) => chosen[id]) ??
    part.variants.find(({ id }) => id === wanted) ??
    part.variants.find(({ most }) => most > 0) ??
    part.variants[0]!;
  const pieces = chosen[current.id] ?? 0;
  const isFixed = slot.parts.length === 1 && slot.min === slot.max;
  const canBeHad = part.variants.some(({ most }) => most > 0);
  const setPieces = (n: number) => set(choose(choice, slot, current.id, n));
  return (
    <li
      className={`flex items-center gap-3 rounded-2xl border p-2.5 ${pieces > 0 ? 'border-ink ring-1 ring-ink' : 'border-line'}`}
    >
      <span className="w-14 shrink-0 overflow-hidden rounded-lg">
        <Picture picture={part.picture && { ...part.picture, alt: '' }} sizes="56px" widest={56} />
      </span>
      <span className="min-w-0 flex-1 text-sm">
        <a href={base + part.url} className="block font-medium text-ink hover:underline">
          {isFixed && slot.min > 1 ? `${slot.min} × ` : ''}
          {part.title}
        </a>
        {part.variants.length > 1 && (
          <select
            aria-label={say('bundle.version', { title: part.title })}
            value={current.id}
            onChange={(event) => {
              setWanted(event.target.value);
              if (pieces > 0) {
                const without = choose(choice, slot, current.id, 0);
                set(choose(without, slot, event.target.value, pieces));
              }
            }}
            className="mt-1 max-w-full rounded-lg border border-line bg-paper px-2 py-1 text-sm"
          >
            {part.variants.map(({ id, label, most }) => (
              <option key={id} value={id} disabled={most === 0}>
                {most === 0 ? say('bundle.soldOut', { label }) : label}
              </option>
            ))}
          </select>
        )}
        <span className="block text-ink-soft">
          {canBeHad ? (showsPrices ? inMoney(current.price, currency) : say('bundle.canBeHad')) : say('stock.soldOut')}
        </span>
      </span>
      {!isFixed &&
        (slot.max === 1 ? (
          <button
            type="button"
            aria-pressed={pieces > 0}
            aria-label={say('bundle.choose', { title: part.title })}
            disabled={!canBeHad}
            onClick={() => setPieces(pieces > 0 && slot.min === 0 ? 0 : 1)}
            className="rounded-button border border-line px-3 py-1.5 text-sm font-semibold hover:border-ink aria-pressed:bg-deep aria-pressed:text-white disabled:opacity-30"
          >
            {pieces > 0 ? say('bundle.chosen') : say('bundle.chooseIt')}
          </button>
        ) : (
          <span className="flex items-center gap-2 tabular-nums">
            <button
              type="button"
              className={stepper}
              aria-label={say('bundle.less', { title: part.title })}
              disabled={pieces === 0}
              onClick={() => setPieces(pieces - 1)}
            >
              −
            </button>
            <span aria-live="polite">{pieces}</span>
            <button
              type="button"
              className={stepper}
              aria-label={say('bundle.more', { title: part.title })}
              disabled={!canBeHad}
              onClick={() => setPieces(pieces + 1)}
            >
              +
            </button>
          </span>
        ))}
    </li>
  );
}

const takes = ({ min, max, parts }: SlotView) => {
  if (parts.length === 1 && min === max) return '';
  if (min === max) return say('bundle.count', { min });
  return min === 0 ? say('bundle.upTo', { max }) : say('bundle.span', { min, max });
};

interface Props {
  bundle: BundleView;
  choice: BundleChoice;
  setChoice: (choice: BundleChoice) => void;
  /** price of the bundle where it is fixed */
  fixed: number;
  currency: string;
}

/** What a bundle is put together from, with the sum as it is chosen. */
export function BundleChooser({ bundle, choice, setChoice, fixed, currency }: Props) {
  const { singly, together } = sumOf(bundle, choice, fixed);
  const missing = missingOf(bundle, choice);
  return (
    <section className="mt-8" aria-label={say('bundle.what')}>
      {bundle.slots.map((slot) => (
        <fieldset key={slot.id} className="mt-5">
          <legend className="mb-2 text-sm text-ink-soft">
            <span className="font-semibold text-ink">{slot.label}</span> {takes(slot)}
          </legend>
          {slot.parts.length === 0 && <p className="text-sm text-ink-soft">{say('bundle.nothing')}</p>}
          <ul className="grid grid-cols-1 gap-2 sm:max-h-96 sm:overflow-y-auto sm:p-px">
            {slot.parts.map((part) => (
              <Part
                key={part.id}
                slot={slot}
                part={part}
                choice={choice}
                set={setChoice}
                showsPrices={bundle.off !== null}
                currency={currency}
              />
            ))}
          </ul>
        </fieldset>
      ))}
      <p
        className="sticky bottom-0 z-10 mt-5 flex flex-wrap items-baseline gap-x-3 border-t border-line bg-paper py-3"
        aria-live="polite"
      >
        {missing === null ? (
          <>
            <span className="text-sm text-ink-soft">{say('bundle.together')}</span>
            <span className="text-2xl font-semibold tabular-nums text-ink">{inMoney(together, currency)}</span>
            {singly > together && (
              <span className="text-sm tabular-nums text-ink-soft">
                {say('bundle.saved', {
                  sum: inMoney(singly, currency),
                  off: inMoney(singly - together, currency),
                })}
              </span>
            )}
          </>
        ) : (
          <span className="font-medium text-ink">{missing}</span>
        )}
      </p>
    </section>
  );
}
