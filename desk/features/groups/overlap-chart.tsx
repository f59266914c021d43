import { useMemo } from 'react';

interface Props {
  /** collections in the order of rows and columns */
  names: readonly string[];
  counts: readonly number[];
  pairs: readonly { a: number; b: number; shared: number }[];
  choose: (a: number, b: number) => void;
}

/** Numbers in the squares are read while there are not too many of them. */
const MOST_LABELLED = 18;
/** From this share of the smaller one on the square is so dark that its number is light. */
const DARK = 0.55;

/** Which collections share how much, as squares: the darker, the larger the part of the smaller one that is in both. */
export function OverlapChart({ names, counts, pairs, choose }: Props) {
  const shared = useMemo(() => new Map(pairs.map((pair) => [`${pair.a} ${pair.b}`, pair.shared])), [pairs]);
  const isLabelled = names.length <= MOST_LABELLED;
  const cell = (a: number, b: number) => {
    const both = shared.get(`${a} ${b}`) ?? shared.get(`${b} ${a}`);
    if (a === b || both === undefined) return <td key={b} className="border border-hair" aria-hidden="true" />;
    const part = both / Math.max(1, Math.min(counts[a]!, counts[b]!));
    const words = `${both} in both ${names[a]} (${counts[a]}) and ${names[b]} (${counts[b]}): ${Math.round(part * 100)} % of the smaller one`;
    return (
      <td key={b} className="border border-hair p-0">
        <button
          type="button"
          title={words}
          aria-label={words}
          onClick={() => choose(a, b)}
          className="block h-[30px] w-full min-w-[30px] hover:ring-2 hover:ring-ink"
          style={{
            background: `color-mix(in srgb, var(--color-petrol) ${Math.round(part * 100)}%, var(--color-petrol-soft))`,
            color: part > DARK ? 'var(--color-sheet)' : 'var(--color-ink)',
          }}
        >
          {isLabelled && both}
        </button>
      </td>
    );
  };
  return (
    <table className="border-collapse text-xs" aria-label="Which collections share how many goods">
      <tbody>
        {names.map((name, a) => (
          <tr key={name}>
            <th scope="row" className="max-w-44 truncate pr-2 text-right font-medium" title={name}>
              {name}
            </th>
            {names.map((_, b) => cell(a, b))}
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td />
          {names.map((name) => (
            <th key={name} scope="col" className="h-32 max-w-[30px] pt-1.5 text-left align-top font-medium text-ink-2">
              <span className="inline-block max-h-32 truncate [writing-mode:vertical-rl]" title={name}>
                {name}
              </span>
            </th>
          ))}
        </tr>
      </tfoot>
    </table>
  );
}
