import { useState } from 'react';
import { fold } from '../../core/shared/fold';
import type { FacetView } from '../../core/storefront/views';
import { useBase } from '../base';
import { isChosen, kept, pathOf, withValue } from './address';
import { Facet } from './facet';
import { RangeFacet } from './range-facet';
import { say } from '../tongue';

type Choice = Extract<FacetView, { type: 'choice' }>;

/** So many values are in sight at first, where the seller says nothing else. */
const USUALLY = 8;
/** Of more values than these one is found by its name. */
const SEARCHED = 14;

interface Props {
  /** they stand in a row above the goods, each closed until it is wanted */
  isRow?: boolean;
  facets: readonly FacetView[];
  url: string;
  currency: string;
  go: (url: string) => void;
}

/** A colour is shown by itself, also where a system forces all others. */
const swatch =
  'relative block size-9 cursor-pointer rounded-full ring-1 ring-black/15 forced-color-adjust-none has-checked:outline-2 has-checked:outline-offset-2 has-checked:outline-ink has-focus-visible:outline-2';

function ChoiceFacet({ facet, url, go }: { facet: Choice } & Pick<Props, 'url' | 'go'>) {
  const [isLong, setLong] = useState(false);
  const [typed, setTyped] = useState('');
  const values = facet.values.map((value) => ({ ...value, isOn: isChosen(url, facet.key, value.value) }));
  const wanted = fold(typed).trim();
  const matching = wanted === '' ? values : values.filter(({ label }) => fold(label).includes(wanted));
  // What is chosen stands first where not all are shown, so that it is never out of sight.
  const first = facet.top ?? USUALLY;
  const isCut = values.length > first && !isLong && wanted === '';
  const sorted = isCut ? [...matching.filter(({ isOn }) => isOn), ...matching.filter(({ isOn }) => !isOn)] : matching;
  const shown = isCut ? sorted.slice(0, Math.max(first, matching.filter(({ isOn }) => isOn).length)) : sorted;
  return (
    <Facet label={facet.label} folded={facet.folded}>
      {values.length > SEARCHED && (
        <input
          type="search"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          aria-label={say('listing.findIn', { name: facet.label })}
          placeholder={say('listing.find')}
          className="mb-1.5 w-full rounded-lg border border-line px-2.5 py-1 text-sm text-ink placeholder:text-ink-soft"
        />
      )}
      <ul className={facet.swatches ? 'flex flex-wrap gap-2' : 'flex flex-col gap-0.5'}>
        {shown.map(({ value, label, colour, count, isOn }) => {
          const isSwatch = facet.swatches === true && colour !== undefined;
          const tick = (
            <input
              type="checkbox"
              name={`f.${facet.key}`}
              value={value}
              checked={isOn}
              onChange={(event) => go(withValue(url, facet.key, value, event.target.checked))}
              className={isSwatch ? 'sr-only' : 'size-4 shrink-0 accent-sea'}
            />
          );
          return (
            <li key={value}>
              {isSwatch ? (
                <label title={`${label}, ${count}`} className={swatch} style={{ background: colour }}>
                  {tick}
                  <span className="sr-only">
                    {label}, {count}
                  </span>
                </label>
              ) : (
                <label className="flex cursor-pointer items-center gap-2.5 rounded-lg py-1 text-sm text-ink hover:text-sea">
                  {tick}
                  {colour && (
                    <span
                      className="size-4 shrink-0 rounded-full ring-1 ring-black/10"
                      style={{ background: colour }}
                    />
                  )}
                  <span className="min-w-0 flex-1 truncate">{label}</span>
                  <span className="text-xs tabular-nums text-ink-soft">{count}</span>
                </label>
              )}
            </li>
          );
        })}
        {shown.length === 0 && (
          <li className="py-1 text-sm text-ink-soft">{say('listing.noneHas', { typed: typed.trim() })}</li>
        )}
      </ul>
      {isCut && values.length > shown.length && (
        <button
          type="button"
          className="mt-1 text-sm font-medium text-sea hover:underline"
          onClick={() => setLong(true)}
        >
          {say('listing.more', { count: values.length - shown.length })}
        </button>
      )}
    </Facet>
  );
}

/** The filters of a listing. Without script they are a form that leads to the narrowed listing. */
export function Filters({ facets, isRow = false, ...rest }: Props) {
  const base = useBase();
  const { url } = rest;
  return (
    <form method="get" action={base + pathOf(url)} onSubmit={(event) => event.preventDefault()}>
      {kept(url, (name) => name.startsWith('f.')).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <div className={isRow ? 'grid grid-cols-2 items-start gap-x-8 md:grid-cols-3 xl:grid-cols-4' : ''}>
        {facets
          .map((facet) => (isRow ? { ...facet, folded: true } : facet))
          .map((facet) =>
            facet.type === 'choice' ? (
              <ChoiceFacet key={facet.key} facet={facet} {...rest} />
            ) : (
              <RangeFacet key={facet.key} facet={facet} {...rest} />
            ),
          )}
      </div>
      <noscript>
        <button
          type="submit"
          className="mb-4 w-full rounded-button bg-deep px-5 py-2.5 text-sm font-semibold text-white"
        >
          {say('listing.showThese')}
        </button>
      </noscript>
    </form>
  );
}
