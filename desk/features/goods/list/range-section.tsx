import clsx from 'clsx';
import { useState, type PointerEvent } from 'react';
import type { GoodsSection } from '../../../../contract/goods';
import { plainAmount } from '../../../../core/shared/money';
import { readNumber } from '../../../shared/rules/read-number';
import { TextField } from '../../../shared/ui/field';
import type { Reading } from '../../../shared/ui/readings';

type Range = Exclude<GoodsSection, { type: 'choice' }>;
interface Span {
  low: number;
  high: number;
}

interface Props {
  section: Range;
  span: Span | undefined;
  change: (span: Span | undefined) => void;
}

const dayOf = (seconds: number) => new Date(seconds * 1000).toISOString().slice(0, 10);

function End({
  label,
  section,
  value,
  change,
}: {
  label: string;
  section: Range;
  value: number;
  change: (value: number | undefined) => void;
}) {
  const isDate = section.type === 'date';
  const shown = !Number.isFinite(value)
    ? ''
    : isDate
      ? dayOf(value)
      : section.type === 'money'
        ? plainAmount(value)
        : String(value / (section.unit?.parts ?? 1));
  const [typed, setTyped] = useState<string>();
  const [problem, setProblem] = useState<string>();
  // The list follows once a number is whole, not with each of its digits.
  const keep = () => {
    if (typed === undefined) return;
    const read: Reading<number | undefined> =
      typed.trim() === '' ? { value: undefined } : readNumber(typed, section.type, section.unit?.parts);
    if ('problem' in read) return setProblem(read.problem);
    change(read.value);
    setTyped(undefined);
  };
  return (
    <TextField
      label={`${section.label} ${label}`}
      hideLabel
      placeholder={label}
      type={isDate ? 'date' : 'text'}
      inputMode="decimal"
      value={typed ?? shown}
      error={problem}
      onChange={(event) => {
        setTyped(event.target.value);
        setProblem(undefined);
      }}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && keep()}
      className="!rounded-md !px-1.5 !py-0.5 !text-xs"
    />
  );
}

/** How the numbers of a field are spread, to be dragged over; and its two ends to be typed. */
export function RangeSection({ section, span, change }: Props) {
  const { bounds, counts } = section;
  const [drag, setDrag] = useState<{ from: number; to: number }>();
  const most = Math.max(1, ...counts);
  const spanOf = ({ from, to }: { from: number; to: number }): Span => {
    const [first, last] = [Math.min(from, to), Math.max(from, to)];
    // The outermost bars hold what lies beyond the axis too.
    return {
      low: first === 0 ? -Infinity : bounds[first]!,
      high: last === counts.length - 1 ? Infinity : bounds[last + 1]! - 1,
    };
  };
  const shown = drag ? spanOf(drag) : span;
  const isIn = (bar: number) => !shown || (bounds[bar + 1]! > shown.low && bounds[bar]! <= shown.high);
  const barAt = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const place = Math.floor(((event.clientX - box.left) / box.width) * counts.length);
    return Math.max(0, Math.min(counts.length - 1, place));
  };
  if (bounds.length === 0) return <p className="px-3 text-xs text-ink-2">No product has such a number.</p>;
  const words = (x: number) =>
    section.type === 'date'
      ? dayOf(x)
      : section.type === 'money'
        ? plainAmount(x).replace(/\.00$/, '')
        : `${x / (section.unit?.parts ?? 1)}${section.unit?.words === '%' ? ' %' : ''}`;
  return (
    <div className="px-3">
      <div
        className="flex h-12 cursor-crosshair touch-none items-end gap-px"
        aria-hidden="true"
        title="Drag over the bars"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setDrag({ from: barAt(event), to: barAt(event) });
        }}
        onPointerMove={(event) => drag && setDrag({ ...drag, to: barAt(event) })}
        onPointerUp={() => {
          if (drag) change(spanOf(drag));
          setDrag(undefined);
        }}
      >
        {counts.map((count, bar) => (
          <span
            key={bar}
            className={clsx(
              'min-w-0 flex-1 rounded-t-[2px]',
              isIn(bar) ? (shown ? 'bg-marigold' : 'bg-ink-3/60') : 'bg-sunk',
            )}
            style={{ height: count === 0 ? 1 : `${8 + (count / most) * 92}%` }}
          />
        ))}
      </div>
      <div className="mb-1 flex justify-between border-t border-line text-[11px] text-ink-2">
        <span>{words(bounds[0]!)}</span>
        <span>{words(bounds.at(-1)!)}+</span>
      </div>
      <div className="flex items-start gap-1.5 text-ink-2">
        <End
          label="from"
          section={section}
          value={span?.low ?? -Infinity}
          change={(low = -Infinity) => change({ low, high: span?.high ?? Infinity })}
        />
        –
        <End
          label="up to"
          section={section}
          value={span?.high ?? Infinity}
          change={(high = Infinity) => change({ low: span?.low ?? -Infinity, high })}
        />
      </div>
    </div>
  );
}
