import clsx from 'clsx';
import type { ReactNode } from 'react';

interface Props {
  isOn: boolean;
  choose: () => void;
  /** in dense places */
  isSmall?: boolean;
  children: ReactNode;
}

/** One of several things in sight, of which one or some are chosen. */
export const Pressed = ({ isOn, choose, isSmall = false, children }: Props) => (
  <button
    type="button"
    aria-pressed={isOn}
    onClick={choose}
    className={clsx(
      'rounded-lg bg-sunk hover:bg-line aria-pressed:bg-ink aria-pressed:text-sheet',
      isSmall ? 'px-2 py-0.5 text-xs' : 'px-2.5 py-1.5',
    )}
  >
    {children}
  </button>
);
