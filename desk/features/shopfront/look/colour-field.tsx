import { useId } from 'react';
import { MeasureField } from '../../../shared/ui/measure-field';

/** Reads “#0d6470”, “0D6470” and “#0a7”. */
export function readColour(typed: string): { value: string } | { problem: string } {
  const bare = typed.trim().replace(/^#/, '').toLowerCase();
  const long = /^[0-9a-f]{3}$/.test(bare) ? [...bare].map((digit) => digit + digit).join('') : bare;
  return /^[0-9a-f]{6}$/.test(long)
    ? { value: `#${long}` }
    : { problem: 'Type a colour as six letters or digits, such as #0d6470.' };
}

/** A colour that is picked, or typed. */
export function ColourField({
  label,
  value,
  change,
}: {
  label: string;
  value: string;
  change: (colour: string) => void;
}) {
  const id = useId();
  return (
    <div className="flex items-end gap-2">
      <input
        id={id}
        type="color"
        aria-label={`${label}, colour picker`}
        value={value}
        onChange={(event) => change(event.target.value)}
        className="h-[34px] w-10 shrink-0 cursor-pointer rounded-lg border border-line bg-sheet p-0.5"
      />
      <MeasureField
        label={label}
        shown={value}
        read={readColour}
        change={(colour) => change(colour as string)}
        className="!w-28 tabular-nums"
      />
    </div>
  );
}
