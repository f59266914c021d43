import { ArrowLeft, ArrowRight, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Thumb } from '../../shared/ui/thumb';

interface Props {
  title: string;
  thumbnail: string | null;
  /** beside the title */
  note?: ReactNode;
  /** moves it one place; absent where it cannot go further */
  back?: () => void;
  forward?: () => void;
  remove: () => void;
}

/** A product picked into an ordered row of products. */
export function ProductChip({ title, thumbnail, note, back, forward, remove }: Props) {
  return (
    <span className="flex items-center gap-1.5 rounded-lg border border-line bg-sheet p-1">
      <Thumb src={thumbnail} className="size-6" />
      <span className="max-w-44 truncate" title={title}>
        {title}
      </span>
      {note}
      {forward && (
        <button type="button" aria-label={`Move ${title} forward`} onClick={forward}>
          <ArrowLeft size={12} aria-hidden="true" />
        </button>
      )}
      {back && (
        <button type="button" aria-label={`Move ${title} back`} onClick={back}>
          <ArrowRight size={12} aria-hidden="true" />
        </button>
      )}
      <button
        type="button"
        aria-label={`Remove ${title}`}
        onClick={remove}
        className="rounded p-0.5 text-ink-2 hover:text-rose"
      >
        <X size={12} aria-hidden="true" />
      </button>
    </span>
  );
}
