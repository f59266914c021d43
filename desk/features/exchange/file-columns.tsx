import type { ImportAnswer, ImportChanges } from '../../data/exchange';
import { OWN_FIELD } from '../../../core/exchange/choices';
import { Choose } from '../../shared/ui/choose';
import { Tick } from '../../shared/ui/tick';

interface Props {
  file: ImportAnswer;
  set: (changes: ImportChanges) => void;
}

/** What each column of a file is taken for, with some of its values beside. */
export function FileColumns({ file: { columns, fields, settings }, set }: Props) {
  const labels = new Map(fields.map(({ key, label }) => [key, label]));
  const taken = new Set(settings.columns);
  const fill = (place: number, key: string | null) => set({ fills: { [place]: key } });
  return (
    <section aria-label="Columns of the file" className="sheet mt-4 max-w-5xl overflow-x-auto px-4 py-2">
      <table className="w-full min-w-[36rem]">
        <thead className="text-left text-xs text-ink-2">
          <tr>
            <th className="py-1.5 font-normal">Column</th>
            <th className="font-normal">Some of its values</th>
            <th className="font-normal">Fills</th>
            <th className="font-normal">Changes goods</th>
          </tr>
        </thead>
        <tbody>
          {columns.map(({ heading, samples, sure, why }, place) => {
            const key = settings.columns[place] ?? null;
            return (
              <tr key={place} className="border-t border-hair align-top">
                <th className="max-w-44 break-words py-2 pr-3 text-left font-semibold">{heading}</th>
                <td className="max-w-72 py-2 pr-3 text-ink-2">
                  <span className="line-clamp-2 break-words">{samples.join(' · ') || 'empty'}</span>
                </td>
                <td className="py-1.5 pr-3">
                  {key === null ? (
                    <Choose
                      label={`What “${heading}” fills`}
                      placeholder="nothing; choose a field"
                      choices={fields
                        .filter((field) => !taken.has(field.key) || field.key === OWN_FIELD)
                        .map((field) => ({ value: field.key, label: field.label }))}
                      choose={(chosen) => fill(place, chosen)}
                      className="w-52"
                    />
                  ) : (
                    <span className="flex flex-wrap items-baseline gap-x-2">
                      <button
                        type="button"
                        title="Fill something else"
                        onClick={() => fill(place, null)}
                        className="rounded-lg bg-sunk px-2.5 py-1 font-semibold hover:bg-line"
                      >
                        {labels.get(key) ?? key}
                        <span className="sr-only">: let “{heading}” fill something else</span>
                      </button>
                      {sure > 0 && (
                        <span className={`text-xs ${sure < 75 ? 'font-semibold text-marigold-ink' : 'text-ink-2'}`}>
                          {sure < 75 ? `only ${why}: please look` : why}
                        </span>
                      )}
                    </span>
                  )}
                </td>
                <td className="py-1">
                  {key !== null && (
                    <Tick
                      label={<span className="sr-only">“{heading}” changes goods</span>}
                      checked={!settings.columnsOff.includes(place)}
                      change={(is) => set({ switches: { [place]: is } })}
                    />
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
