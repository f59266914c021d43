import clsx from 'clsx';
import { Check } from 'lucide-react';

interface Props {
  title: string;
  isInTray: boolean;
  /** told whether all from the last one picked on are meant */
  pick: (isRange: boolean) => void;
}

/** Puts a product into the tray or takes it out. */
export function PickBox({ title, isInTray, pick }: Props) {
  return (
    <button
      type="button"
      role="checkbox"
      aria-checked={isInTray}
      aria-label={`${title} in the tray`}
      onClick={(event) => pick(event.shiftKey)}
      className="group/pick -m-1 grid size-6 place-items-center"
    >
      <span
        className={clsx(
          'flex size-[17px] items-center justify-center rounded-[5px] border',
          isInTray ? 'border-marigold bg-marigold text-ink' : 'border-ink-3 bg-sheet group-hover/pick:border-ink',
        )}
      >
        {isInTray && <Check size={12} strokeWidth={3} aria-hidden="true" />}
      </span>
    </button>
  );
}
