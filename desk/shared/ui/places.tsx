const SQUARES = 10;
const ACROSS = 5;
/** A square and the gap after it, px. */
const STEP = 8;

/** A 5-wide block of small squares that counts where a product shows; "nowhere" in words. */
export function Places({ count }: { count: number }) {
  const filled = Math.min(count, SQUARES);
  const rows = [Math.min(ACROSS, filled), Math.max(0, filled - ACROSS)];
  return (
    <span className="flex items-center gap-2.5">
      <span className="flex flex-col gap-[2px]" aria-hidden="true">
        {rows.map((squares, i) => (
          <span key={i} className="places" style={{ '--filled': `${squares * STEP}px` } as React.CSSProperties} />
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
