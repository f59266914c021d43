import { useState } from 'react';
import { formatMoney } from '../../core/catalog/money';
import type { FacetView } from '../../core/placement/listing-view';
import { withPrice, withValue } from './address';

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

function PriceFacet({ facet, url, currency, go }: { facet: Range; url: string; currency: string; go: Props['go'] }) {
  const { values, selected } = facet;
  const [min, setMin] = useState(selected ? String(selected.min / 100) : '');
  const [max, setMax] = useState(selected ? String(selected.max / 100) : '');
  const apply = () => {
    const low = min.trim() === '' ? values.min : Math.round(Number(min.replace(',', '.')) * 100);
    const high = max.trim() === '' ? values.max : Math.round(Number(max.replace(',', '.')) * 100);
    if (Number.isNaN(low) || Number.isNaN(high)) return;
    if (min.trim() === '' && max.trim() === '') go(withPrice(url, null));
    else go(withPrice(url, { min: Math.min(low, high), max: Math.max(low, high) }));
  };
  const field =
    'w-full min-w-0 rounded-lg border border-line px-2.5 py-1.5 text-sm tabular-nums text-ink placeholder:text-ink-soft';
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
          aria-label="Lowest price"
          placeholder={(values.min / 100).toFixed(0)}
          value={min}
          onChange={(event) => setMin(event.target.value)}
          className={field}
        />
        <span className="text-ink-soft">to</span>
        <input
          inputMode="decimal"
          aria-label="Highest price"
          placeholder={Math.ceil(values.max / 100).toFixed(0)}
          value={max}
          onChange={(event) => setMax(event.target.value)}
          className={field}
        />
        <button type="submit" className="sr-only">
          Show these prices
        </button>
      </form>
      <p className="mt-2 text-xs tabular-nums text-ink-soft">
        {formatMoney(values.min, currency)} to {formatMoney(values.max, currency)} here
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
          <PriceFacet
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
