import { useState } from 'react';
import type { FacetView } from '../../core/storefront/views';
import { pageLocale } from '../base';
import { useReady } from '../ui/use-ready';
import { withSpan } from './address';
import { Facet } from './facet';
import { RangeSlider, stepOf } from './range-slider';
import { boundOf, readNumber } from './read-number';
import { inMoney, say, spokenLocale } from '../tongue';

type Range = Extract<FacetView, { type: 'range' }>;

/** One end of a range in words: an amount, or a number with its unit. */
export const rangeWords = ({ key, unit }: Pick<Range, 'key' | 'unit'>, x: number, currency: string) =>
  key === 'price' ? inMoney(x, currency) : `${x} ${unit ?? ''}`.trim();

interface Props {
  facet: Range;
  url: string;
  currency: string;
  go: (url: string) => void;
}

/** Filters by a number: two fields that read what people type, and a range whose ends are dragged. */
export function RangeFacet({ facet, url, currency, go }: Props) {
  const isReady = useReady();
  const locale = pageLocale();
  const isPrice = facet.key === 'price';
  const parts = isPrice ? 100 : 1;
  const shown = (x: number | null | undefined) => (x === null || x === undefined ? '' : String(x / parts));
  const { values, selected } = facet;
  const chosen = { min: shown(selected?.min), max: shown(selected?.max) };
  const [typed, setTyped] = useState<{ min?: string; max?: string }>({});
  const read = (text: string, open: number) =>
    text.trim() === '' ? open : boundOf(readNumber(text, locale), isPrice ? 2 : 3, isPrice ? 0 : -99_999_999);
  // What was typed gives way when it is what is chosen; what is being typed at the other end meanwhile stays.
  const [answered, setAnswered] = useState(chosen);
  if (answered.min !== chosen.min || answered.max !== chosen.max) {
    setAnswered(chosen);
    const left = (end: 'min' | 'max') => {
      const text = typed[end];
      return text === undefined || Object.is(read(text, NaN), read(chosen[end], NaN)) ? undefined : text;
    };
    setTyped({ min: left('min'), max: left('max') });
  }
  const { min = chosen.min, max = chosen.max } = typed;
  const setMin = (text: string) => setTyped((before) => ({ ...before, min: text }));
  const setMax = (text: string) => setTyped((before) => ({ ...before, max: text }));
  const words = (x: number) => rangeWords(facet, x, currency);
  const isUnread = (text: string) => Number.isNaN(read(text, 0));
  // Told when the field is left: while somebody types, “€” is on its way to “€20”.
  const [unread, setUnread] = useState<string>();
  const apply = () => {
    setUnread([min, max].find(isUnread));
    const [low, high] = [read(min, -Infinity), read(max, Infinity)];
    const isSame = min === chosen.min && max === chosen.max;
    if (isSame || Number.isNaN(low) || Number.isNaN(high)) return;
    const isNone = !Number.isFinite(low) && !Number.isFinite(high);
    go(withSpan(url, facet.key, isNone ? null : { min: Math.min(low, high), max: Math.max(low, high) }));
  };
  // In German, nouns keep their capital.
  const name = spokenLocale().startsWith('de') ? facet.label : facet.label.toLowerCase();
  const [bottom, top] = [Math.floor(values.min / parts), Math.ceil(values.max / parts)];
  const within = (text: string, open: number) => {
    const at = read(text, open);
    return Number.isNaN(at) ? open : Math.min(top, Math.max(bottom, at));
  };
  const field = (
    end: 'from' | 'to',
    label: string,
    value: string,
    set: (typed: string) => void,
    placeholder: number,
  ) => (
    <input
      name={`f.${facet.key}.${end}`}
      inputMode="decimal"
      aria-label={label}
      aria-invalid={unread === value || undefined}
      placeholder={String(placeholder)}
      value={value}
      onChange={(event) => {
        set(event.target.value);
        setUnread(undefined);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        apply();
      }}
      className="w-full min-w-0 rounded-lg border border-line px-2.5 py-1.5 text-sm tabular-nums text-ink placeholder:text-ink-soft aria-invalid:border-sale"
    />
  );
  return (
    <Facet label={facet.label} folded={facet.folded}>
      <div className="flex items-center gap-2" onBlur={apply}>
        {field('from', say('listing.lowest', { name }), min, setMin, bottom)}
        <span className="text-ink-soft">{say('listing.to')}</span>
        {field('to', say('listing.highest', { name }), max, setMax, top)}
        {facet.unit && <span className="text-sm text-ink-soft">{facet.unit}</span>}
      </div>
      {isReady && top > bottom && (
        <RangeSlider
          name={name}
          min={bottom}
          max={top}
          step={stepOf(top - bottom, isPrice ? 0.01 : 0.001)}
          low={within(min, bottom)}
          high={within(max, top)}
          words={(x) => words(x * parts)}
          move={(end, to) => {
            setUnread(undefined);
            if (end === 'low') setMin(to <= bottom ? '' : String(to));
            else setMax(to >= top ? '' : String(to));
          }}
          done={apply}
        />
      )}
      {unread !== undefined ? (
        <p role="alert" className="mt-2 text-xs text-sale">
          {say('listing.unread', { typed: unread.trim() })}
        </p>
      ) : (
        <p className="mt-2 text-xs tabular-nums text-ink-soft">
          {say('listing.spanHere', { low: words(values.min), high: words(values.max) })}
        </p>
      )}
    </Facet>
  );
}
