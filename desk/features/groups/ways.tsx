/** Where it is found, or in rose that it is nowhere. */
export function Ways({ ways }: { ways: readonly string[] }) {
  if (ways.length === 0) return <span className="shrink-0 font-semibold text-rose">on no page</span>;
  return (
    <span className="truncate text-ink-2" title={ways.join(', ')}>
      in: {ways.slice(0, 2).join(' · ')}
      {ways.length > 2 && ` · ${ways.length - 2} more`}
    </span>
  );
}
