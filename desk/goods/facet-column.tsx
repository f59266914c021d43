import clsx from 'clsx';
import { useState } from 'react';
import type { z } from 'zod';
import type { goodsFacetSchema } from '../../contract/goods';

type Facet = z.infer<typeof goodsFacetSchema>;

const FIRST = 7;

interface Props {
  facets: readonly Facet[];
  toggle: (facet: Facet['key'], value: string) => void;
}

function FacetList({ facet, toggle }: { facet: Facet; toggle: Props['toggle'] }) {
  const [isLong, setLong] = useState(facet.key === 'category');
  const most = Math.max(1, ...facet.values.map((value) => value.count));
  const shown = isLong ? facet.values : facet.values.filter((value, i) => i < FIRST || value.selected);
  if (facet.values.length === 0) return null;
  return (
    <section className="mb-4">
      <h2 className="mb-1 px-3 font-semibold">{facet.label}</h2>
      <ul>
        {shown.map((value) => (
          <li key={value.value}>
            <button
              type="button"
              aria-pressed={value.selected}
              onClick={() => toggle(facet.key, value.value)}
              className={clsx(
                'relative flex w-full items-center justify-between gap-2 rounded-md px-3 py-[3px] text-left hover:bg-sunk/70',
                value.selected && 'bg-marigold-soft font-semibold',
              )}
            >
              <span
                className={clsx('absolute inset-y-[3px] left-2 rounded', value.selected ? 'bg-marigold/35' : 'bg-sunk')}
                style={{ width: `${(value.count / most) * 72}%` }}
                aria-hidden="true"
              />
              <span className="relative truncate" style={{ paddingLeft: (value.level - 1) * 12 }}>
                {value.label}
              </span>
              <span className="relative shrink-0 text-ink-2">{value.count}</span>
            </button>
          </li>
        ))}
      </ul>
      {facet.values.length > shown.length && (
        <button type="button" onClick={() => setLong(true)} className="px-3 py-1 text-petrol hover:underline">
          {facet.values.length - shown.length} more
        </button>
      )}
    </section>
  );
}

/** The left column: what the goods can be narrowed by, with how many there would be. */
export function FacetColumn({ facets, toggle }: Props) {
  return (
    <aside
      aria-label="Narrow the goods"
      className="w-[195px] shrink-0 overflow-y-auto border-r border-line py-3 max-md:hidden"
    >
      {facets.map((facet) => (
        <FacetList key={facet.key} facet={facet} toggle={toggle} />
      ))}
    </aside>
  );
}
