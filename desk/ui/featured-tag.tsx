import clsx from 'clsx';

/** The mark of featured goods: a small tag with the word. */
export function FeaturedTag({ className }: { className?: string }) {
  return (
    <span
      className={clsx(
        'inline-flex items-center gap-1 rounded bg-marigold-soft px-1.5 text-xs font-semibold leading-[18px] text-marigold-ink',
        className,
      )}
    >
      <span className="size-1 rounded-full bg-marigold-ink/70" aria-hidden="true" />
      Featured
    </span>
  );
}
