import clsx from 'clsx';

/** The mark of featured goods: a small tag with the word. */
export function FeaturedTag({ className }: { className?: string }) {
  return (
    <span
      className={clsx(
        'inline-flex items-center rounded border border-ink/30 bg-sheet px-1.5 text-xs font-semibold leading-[17px] text-ink',
        className,
      )}
    >
      Featured
    </span>
  );
}
