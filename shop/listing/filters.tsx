import { useState, type ReactNode } from 'react';
import { formatMoney } from '../../core/shared/money';
import type { FacetView } from '../../core/storefront/views';
import { pageLocale, useBase } from '../base';
import { isChosen, kept, pathOf, withSpan, withValue } from './address';
import { boundOf, readNumber } from './read-number';

type Choice = Extract<FacetView, { type: 'choice' }>;
type Range = Extract<FacetView, { type: 'range' }>;

const FIRST = 8;
/** Of more values than these one is found by its name. */
const SEARCHED = 14;

interface Props {
  facets: readonly FacetView[];
  url: string;
  currency: string;
  go: (url: string) => void;
}

function Facet({ label, children }: { label: string; children: ReactNode }) {
  return (
    <details open className="group border-t border-line py-4">
      <summary className="flex cursor-pointer list-none items-center justify-between text-sm font-semibold text-ink">
        {label}
        <span aria-hidden="true" className="text-ink-soft transition group-open:rotate-180">
          ⌄
        </span>
      </summary>
      <fieldset className="mt-2">
        <legend className="sr-only">{label}</legend>
        {children}
      </fieldset>
    </details>
  );
}

function ChoiceFacet({ facet, url, go }: { facet: Choice; url: string; go: Props['go'] }) {
  const [isLong, setLong] = useState(false);
  const [typed, setTyped] = useState('');
  const values = facet.values.map((value) => ({ ...value, isOn: isChosen(url, facet.key, value.value) }));
  const wanted = typed.trim().toLowerCase();
  const matching = wanted === '' ? values : values.filter(({ label }) => label.toLowerCase().includes(wanted));
  // What is chosen stands first where not all are shown, so that it is never out of sight.
  const isCut = values.length > FIRST && !isLong && wanted === '';
  const sorted = isCut ? [...matching.filter(({ isOn }) => isOn), ...matching.filter(({ isOn }) => !isOn)] : matching;
  const shown = isCut ? sorted.slice(0, Math.max(FIRST, matching.filter(({ isOn }) => isOn).length)) : sorted;
  return (
    <Facet label={facet.label}>
      {values.length > SEARCHED && (
        <input
          type="search"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          aria-label={`Find in ${facet.label}`}
          placeholder="Find"
          className="mb-1.5 w-full rounded-lg border border-line px-2.5 py-1 text-sm text-ink placeholder:text-ink-soft"
        />
      )}
      <ul className="flex flex-col gap-0.5">
        {shown.map(({ value, label, colour, count, isOn }) => (
          <li key={value}>
            <label className="flex cursor-pointer items-center gap-2.5 rounded-lg py-1 text-sm text-ink hover:text-sea">
              <input
                type="checkbox"
                name={`f.${facet.key}`}
                value={value}
                checked={isOn}
                onChange={(event) => go(withValue(url, facet.key, value, event.target.checked))}
                className="size-4 shrink-0 accent-sea"
              />
              {colour && (
                <span className="size-4 shrink-0 rounded-full ring-1 ring-black/10" style={{ background: colour }} />
              )}
              <span className="min-w-0 flex-1 truncate">{label}</span>
              <span className="text-xs tabular-nums text-ink-soft">{count}</span>
            </label>
          </li>
        ))}
        {shown.length === 0 && <li className="py-1 text-sm text-ink-soft">None has “{typed.trim()}”.</li>}
      </ul>
      {isCut && values.length > shown.length && (
        <button
          type="button"
          className="mt-1 text-sm font-medium text-sea hover:underline"
          onClick={() => setLong(true)}
        >
          {values.length - shown.length} more
        </button>
      )}
    </Facet>
  );
}

/** One end of a range in words: an amount, or a number with its unit. */
export const rangeWords = ({ key, unit }: Pick<Range, 'key' | 'unit'>, x: number, currency: string) =>
  key === 'price' ? formatMoney(x, currency) : `${x} ${unit ?? ''}`.trim();

interface RangeProps extends Pick<Props, 'url' | 'currency' | 'go'> {
  facet: Range;
}

function RangeFacet({ facet, url, currency, go }: RangeProps) {
  const locale = pageLocale();
  const isPrice = facet.key === 'price';
  const parts = isPrice ? 100 : 1;
  const shown = (x: number | null | undefined) => (x === null || x === undefined ? '' : String(x / parts));
  const { values, selected } = facet;
  const [min, setMin] = useState(shown(selected?.min));
  const [max, setMax] = useState(shown(selected?.max));
  const words = (x: number) => rangeWords(facet, x, currency);
  const isUnread = (typed: string) => typed.trim() !== '' && Number.isNaN(readNumber(typed, locale));
  // Told when the field is left: while somebody types, “€” is on its way to “€20”.
  const [unread, setUnread] = useState<string>();
  const apply = () => {
    setUnread([min, max].find(isUnread));
    const read = (typed: string, open: number) =>
      typed.trim() === '' ? open : boundOf(readNumber(typed, locale), isPrice ? 2 : 3, isPrice ? 0 : -99_999_999);
    const [low, high] = [read(min, -Infinity), read(max, Infinity)];
    const isSame = min === shown(selected?.min) && max === shown(selected?.max);
    if (isSame || Number.isNaN(low) || Number.isNaN(high)) return;
    const isNone = !Number.isFinite(low) && !Number.isFinite(high);
    go(withSpan(url, facet.key, isNone ? null : { min: Math.min(low, high), max: Math.max(low, high) }));
  };
  const name = facet.label.toLowerCase();
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
    <Facet label={facet.label}>
      <div className="flex items-center gap-2" onBlur={apply}>
        {field('from', `Lowest ${name}`, min, setMin, Math.floor(values.min / parts))}
        <span className="text-ink-soft">to</span>
        {field('to', `Highest ${name}`, max, setMax, Math.ceil(values.max / parts))}
        {facet.unit && <span className="text-sm text-ink-soft">{facet.unit}</span>}
      </div>
      {unread !== undefined ? (
        <p role="alert" className="mt-2 text-xs text-sale">
          “{unread.trim()}” cannot be read as a number.
        </p>
      ) : (
        <p className="mt-2 text-xs tabular-nums text-ink-soft">
          {words(values.min)} to {words(values.max)} here
        </p>
      )}
    </Facet>
  );
}

/** The filters of a listing. Without script they are a form that leads to the narrowed listing. */
export function Filters({ facets, ...rest }: Props) {
  const base = useBase();
  const { url } = rest;
  return (
    <form method="get" action={base + pathOf(url)} onSubmit={(event) => event.preventDefault()}>
      {kept(url, (name) => name.startsWith('f.')).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      {facets.map((facet) =>
        facet.type === 'choice' ? (
          <ChoiceFacet key={facet.key} facet={facet} {...rest} />
        ) : (
          <RangeFacet key={`${facet.key} ${facet.selected?.min} ${facet.selected?.max}`} facet={facet} {...rest} />
        ),
      )}
      <noscript>
        <button type="submit" className="mb-4 w-full rounded-full bg-deep px-5 py-2.5 text-sm font-semibold text-white">
          Show these
        </button>
      </noscript>
    </form>
  );
}
