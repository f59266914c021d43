import clsx from 'clsx';

const SQUARES = 10;

/** A 5-wide block of small squares that counts where a product shows; "nowhere" in words. */
export function Places({ count }: { count: number }) {
  return (
    <span className="flex items-center gap-2.5">
      <span className="grid grid-cols-5 gap-[2px]" aria-hidden="true">
        {Array.from({ length: SQUARES }, (_, i) => (
          <span key={i} className={clsx('size-[6px] rounded-[1.5px]', i < count ? 'bg-petrol' : 'bg-line')} />
        ))}
      </span>
      {count === 0 ? (
        <span className="text-rose">nowhere</span>
      ) : (
        <span>
          {count} {count === 1 ? 'place' : 'places'}
        </span>
      )}
    </span>
  );
}
