import { say } from '../tongue';
/** The finest of the steps 1, 2, 5, 10, 20 … (and 0.5, 0.2 …) that parts a range into a hundred at most. */
export function stepOf(span: number, finest: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(span, finest) / 100));
  const step = [1, 2, 5, 10].map((each) => each * power).find((each) => span / each <= 100)!;
  // What is added up in tenths is not quite a tenth.
  return Math.max(finest, Number(step.toPrecision(6)));
}

interface Props {
  /** what it narrows, such as "price" */
  name: string;
  min: number;
  max: number;
  step: number;
  /** within the range; an end that is open stands at the end of the range */
  low: number;
  high: number;
  words: (x: number) => string;
  /** the hand moves an end */
  move: (end: 'low' | 'high', to: number) => void;
  /** the hand let go */
  done: () => void;
}

/** A range whose two ends are dragged, or moved by keys. */
export function RangeSlider({ name, min, max, step, low, high, words, move, done }: Props) {
  const share = (x: number) => `${((x - min) / (max - min)) * 100}%`;
  const end = (which: 'low' | 'high', label: string, value: number) => (
    <input
      type="range"
      aria-label={say('listing.slider', { label })}
      aria-valuetext={words(value)}
      min={min}
      max={max}
      step={step}
      value={value}
      onChange={({ target }) => {
        const to = Number(target.value);
        move(which, which === 'low' ? Math.min(to, high) : Math.max(to, low));
      }}
      onPointerUp={done}
      onKeyUp={done}
      className="range-end"
    />
  );
  return (
    <div className="range mt-3" style={{ '--low': share(low), '--high': share(high) } as React.CSSProperties}>
      {end('low', say('listing.lowest', { name }), low)}
      {end('high', say('listing.highest', { name }), high)}
    </div>
  );
}
