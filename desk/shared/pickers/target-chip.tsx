import { X } from 'lucide-react';

/** Something that a section names, or that was deleted since. */
export function TargetChip({
  label,
  note,
  title,
  remove,
}: {
  label: string | undefined;
  /** why shoppers do not meet it */
  note?: string;
  title?: string;
  remove: () => void;
}) {
  return (
    <span
      title={title}
      className={`inline-flex max-w-full items-center self-start gap-1.5 rounded-lg border py-1 pl-2.5 pr-1 ${label ? 'border-line bg-sheet' : 'border-rose bg-rose-soft text-rose-ink'}`}
    >
      <span className="min-w-0 truncate">{label ?? 'deleted'}</span>
      {note && <span className="shrink-0 text-xs text-rose-ink">{note}</span>}
      <button
        type="button"
        aria-label={`Remove ${label ?? 'what was deleted'}`}
        onClick={remove}
        className="shrink-0 rounded p-1 hover:text-rose"
      >
        <X size={12} aria-hidden="true" />
      </button>
    </span>
  );
}
