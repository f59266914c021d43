import { X } from 'lucide-react';

/** Something that a section names, or that was deleted since. */
export function TargetChip({ label, remove }: { label: string | undefined; remove: () => void }) {
  return (
    <span
      className={`flex items-center gap-1.5 rounded-lg border py-1 pl-2.5 pr-1 ${label ? 'border-line bg-sheet' : 'border-rose bg-rose-soft text-rose-ink'}`}
    >
      {label ?? 'deleted'}
      <button
        type="button"
        aria-label={`Remove ${label ?? 'what was deleted'}`}
        onClick={remove}
        className="rounded p-0.5 hover:text-rose"
      >
        <X size={12} aria-hidden="true" />
      </button>
    </span>
  );
}
