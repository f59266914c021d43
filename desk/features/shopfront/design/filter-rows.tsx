import { usualFilter, type FilterLayout } from '../../../../core/model/listing-layout';
import type { FilterWorth } from '../../../data/shopfront';
import { Button } from '../../../shared/ui/button';
import { Select } from '../../../shared/ui/select';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { Tick } from '../../../shared/ui/tick';

interface Props {
  filters: readonly FilterLayout[];
  worths: readonly FilterWorth[];
  change: (filters: FilterLayout[]) => void;
}

const tops = [3, 5, 8, 12, 20, 40];

/** “1.6×”: how many times fewer goods one choice leaves on average. */
const timesFewer = (gain: number) => `${(2 ** gain).toFixed(1)}×`;

/** All filters of a place in the order in which shoppers get them, each with how well it divides the goods. */
export function FilterRows({ filters, worths, change }: Props) {
  const named = filters.flatMap((filter) => {
    const worth = worths.find(({ key }) => key === filter.key);
    return worth ? [{ filter, worth }] : [];
  });
  const others = worths
    .filter(({ key }) => !filters.some((filter) => filter.key === key))
    .sort((a, b) => a.place - b.place)
    .map((worth) => ({ filter: usualFilter(worth.key), worth }));
  const rows = [...named, ...others];
  const most = Math.max(0.01, ...worths.map(({ gain }) => gain));
  const write = (next: readonly { filter: FilterLayout }[]) => change(next.map(({ filter }) => filter));
  const set = (key: string, over: Partial<FilterLayout>) =>
    write(rows.map((row) => (row.filter.key === key ? { ...row, filter: { ...row.filter, ...over } } : row)));
  const best = [...rows].sort((a, b) => b.worth.gain - a.worth.gain);
  const isBest = best.every(({ filter }, i) => filter.key === rows[i]!.filter.key);
  return (
    <div className="flex flex-col gap-2">
      <SortableRows
        items={rows}
        keyOf={({ filter }) => filter.key}
        reorder={write}
        className="sheet flex flex-col px-2 py-1"
        draw={({ filter, worth }, grip) => (
          <div className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hair py-0.5 last:border-0">
            <span className="flex min-w-44 flex-1 items-center gap-1">
              {grip}
              <Tick label={worth.label} checked={filter.shown} change={(shown) => set(filter.key, { shown })} />
            </span>
            {worth.gain === 0 ? (
              <span className="w-44 text-xs text-ink-2">has nothing to narrow here, so shoppers do not see it</span>
            ) : (
              <span
                className="flex w-44 items-center gap-2 text-xs text-ink-2"
                title={`One choice leaves ${timesFewer(worth.gain).replace('×', ' times')} fewer products on average. ${Math.round(worth.filled * 100)} % of the goods say it; ${worth.values} different values.`}
              >
                <span className="h-2 w-20 overflow-hidden rounded-full bg-sunk" aria-hidden="true">
                  <span className="block h-full bg-petrol" style={{ width: `${(100 * worth.gain) / most}%` }} />
                </span>
                {timesFewer(worth.gain)} fewer
              </span>
            )}
            {worth.gain > 0 && (
              <Select
                label={`${worth.label} begins`}
                value={filter.open ? 'open' : 'folded'}
                choices={[
                  { value: 'open', label: 'open' },
                  { value: 'folded', label: 'folded' },
                ]}
                choose={(next) => set(filter.key, { open: next === 'open' })}
                className="w-24"
              />
            )}
            {worth.gain === 0 ? null : worth.type === 'choice' ? (
              <>
                <Select
                  label={`${worth.label} is drawn`}
                  value={filter.as}
                  choices={[
                    { value: 'list', label: 'as a list' },
                    { value: 'swatches', label: 'as colours' },
                  ]}
                  choose={(as) => set(filter.key, { as: as as FilterLayout['as'] })}
                  className="w-28"
                />
                <Select
                  label={`${worth.label} shows at first`}
                  value={String(filter.top)}
                  choices={tops.map((top) => ({ value: String(top), label: `first ${top}` }))}
                  choose={(top) => set(filter.key, { top: Number(top) })}
                  className="w-24"
                />
              </>
            ) : (
              <span className="w-[13.75rem] text-xs text-ink-2">a range with two ends</span>
            )}
          </div>
        )}
      />
      {!isBest && (
        <div className="flex flex-wrap items-center gap-3">
          <Button onClick={() => write(best)}>Put the most useful first</Button>
          <span className="text-xs text-ink-2">
            {best
              .slice(0, 4)
              .map(({ worth }) => worth.label)
              .join(', ')}
            …
          </span>
        </div>
      )}
    </div>
  );
}
