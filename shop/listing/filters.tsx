import { useState } from 'react';
import { formatMoney } from '../../core/shared/money';
import type { FacetView } from '../../core/storefront/views';
import { withSpan, withValue } from './address';

type Choice = Extract<FacetView, { type: 'choice' }>;
type Range = Extract<FacetView, { type: 'range' }>;

const FIRST = 8;

interface Props {
  facets: readonly FacetView[];
  url: string;
  currency: string;
  go: (url: string) => void;
}

function ChoiceFacet({ facet, url, go }: { facet: Choice; url: string; go: Props['go'] }) {
  const [isLong, setLong] = useState(false);
  const shown = isLong ? facet.values : facet.values.filter((value, i) => i < FIRST || value.selected);
  return (
    <fieldset className="border-t border-line py-4">
      <legend className="float-left mb-2 w-full text-sm font-semibold text-ink">{facet.label}</legend>
      <ul className="clear-both flex flex-col gap-0.5">
        {shown.map((value) => (
          <li key={value.value}>
            <label className="flex cursor-pointer items-center gap-2.5 rounded-lg py-1 text-sm text-ink hover:text-sea">
              <input
                type="checkbox"
                checked={value.selected}
                onChange={(event) => go(withValue(url, facet.key, value.value, event.target.checked))}
                className="size-4 shrink-0 accent-sea"
              />
              {value.colour && (
                <span
                  className="size-4 shrink-0 rounded-full ring-1 ring-black/10"
                  style={{ background: value.colour }}
                />
              )}
              <span className="min-w-0 flex-1 truncate">{value.label}</span>
              <span className="text-xs tabular-nums text-ink-soft">{value.count}</span>
            </label>
          </li>
        ))}
      </ul>
      {facet.values.length > shown.length && (
        <button
          type="button"
          className="mt-1 text-sm font-medium text-sea hover:underline"
          onClick={() => setLong(true)}
        >
          {facet.values.length - shown.length} more
        </button>
      )}
    </fieldset>
  );
}

/** One end of a range in words: an amount, or a number with its unit. */
export const rangeWords = ({ key, unit }: Pick<Range, 'key' | 'unit'>, x: number, currency: string) =>
  key === 'price' ? formatMoney(x, currency) : `${x} ${unit ?? ''}`.trim();

function RangeFacet({ facet, url, currency, go }: { facet: Range; url: string; currency: string; go: Props['go'] }) {
  const isPrice = facet.key === 'price';
  const parts = isPrice ? 100 : 1;
  const shown = (x: number | null | undefined) => (x === null || x === undefined ? '' : String(x / parts));
  const { values, selected } = facet;
  const [min, setMin] = useState(shown(selected?.min));
  const [max, setMax] = useState(shown(selected?.max));
  const words = (x: number) => rangeWords(facet, x, currency);
  const apply = () => {
    const read = (typed: string, open: number) => (typed.trim() === '' ? open : Number(typed.replace(',', '.')));
    const [low, high] = [read(min, -Infinity), read(max, Infinity)];
    const isSame = min === shown(selected?.min) && max === shown(selected?.max);
    if (isSame || Number.isNaN(low) || Number.isNaN(high)) return;
    const isNone = !Number.isFinite(low) && !Number.isFinite(high);
    go(withSpan(url, facet.key, isNone ? null : { min: Math.min(low, high), max: Math.max(low, high) }));
  };
  const field =
    'w-full min-w-0 rounded-lg border border-line px-2.5 py-1.5 text-sm tabular-nums text-ink placeholder:text-ink-soft';
  const name = facet.label.toLowerCase();
  return (
    <fieldset className="border-t border-line py-4">
      <legend className="float-left mb-2 w-full text-sm font-semibold text-ink">{facet.label}</legend>
      <form
        className="clear-both flex items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          apply();
        }}
        onBlur={apply}
      >
        <input
          inputMode="decimal"
          aria-label={`Lowest ${name}`}
          placeholder={String(Math.floor(values.min / parts))}
          value={min}
          onChange={(event) => setMin(event.target.value)}
          className={field}
        />
        <span className="text-ink-soft">to</span>
        <input
          inputMode="decimal"
          aria-label={`Highest ${name}`}
          placeholder={String(Math.ceil(values.max / parts))}
          value={max}
          onChange={(event) => setMax(event.target.value)}
          className={field}
        />
        {facet.unit && <span className="text-sm text-ink-soft">{facet.unit}</span>}
        <button type="submit" className="sr-only">
          Narrow
        </button>
      </form>
      <p className="mt-2 text-xs tabular-nums text-ink-soft">
        {words(values.min)} to {words(values.max)} here
      </p>
    </fieldset>
  );
}

export function Filters({ facets, url, currency, go }: Props) {
  return (
    <div>
      {facets.map((facet) =>
        facet.type === 'choice' ? (
          <ChoiceFacet key={facet.key} facet={facet} url={url} go={go} />
        ) : (
          <RangeFacet
            key={`${facet.key} ${facet.selected?.min} ${facet.selected?.max}`}
            facet={facet}
            url={url}
            currency={currency}
            go={go}
          />
        ),
      )}
    </div>
  );
}
