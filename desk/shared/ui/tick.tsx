import type { ReactNode } from 'react';

interface Props {
  label: ReactNode;
  checked: boolean;
  change: (checked: boolean) => void;
}

/** Something that holds or does not. */
export function Tick({ label, checked, change }: Props) {
  return (
    <label className="flex items-center gap-2 py-1">
      <input
        type="checkbox"
        checked={checked}
        onChange={(event) => change(event.target.checked)}
        className="size-4 accent-petrol"
      />
      {label}
    </label>
  );
}
