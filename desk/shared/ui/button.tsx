import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** main: the one thing to do here; live: puts something before shoppers; plain: the rest; bare: in dense places */
  look?: 'main' | 'live' | 'plain' | 'bare' | 'danger' | 'dark';
}

const looks = {
  main: 'bg-slate text-sheet hover:bg-ink',
  live: 'bg-marigold text-ink hover:brightness-95',
  plain: 'border border-line bg-sheet text-ink hover:border-ink-3',
  danger: 'bg-rose text-sheet hover:bg-rose-ink',
  dark: 'bg-white/12 text-sheet hover:bg-white/20',
  bare: 'text-ink-2 hover:bg-sunk hover:text-ink',
};

/** A button; the second click of a double click does nothing, so that nothing is done twice. */
export function Button({ look = 'plain', className, type = 'button', onClick, ...rest }: Props) {
  return (
    <button
      type={type}
      onClick={(event) => {
        if (event.detail > 1) event.preventDefault();
        else onClick?.(event);
      }}
      className={clsx(
        'inline-flex shrink-0 items-center gap-1.5 whitespace-nowrap rounded-lg font-semibold disabled:opacity-50',
        look === 'bare' ? 'px-2 py-1 font-medium' : 'px-3.5 py-[7px]',
        looks[look],
        className,
      )}
      {...rest}
    />
  );
}
