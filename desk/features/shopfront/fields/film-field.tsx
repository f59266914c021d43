import { Film, Trash2 } from 'lucide-react';
import { useRef } from 'react';
import { wordsOf } from '../../../data/api';
import { useSectionFilm } from '../../../data/shopfront';
import { Button } from '../../../shared/ui/button';

interface Props {
  label: string;
  /** what can be chosen, as file inputs say it */
  accept: string;
  name: string | null;
  error?: string;
  change: (name: string | null) => void;
}

/** A film, or its captions, as a file that is dropped or chosen. */
export function FilmField({ label, accept, name, error, change }: Props) {
  const send = useSectionFilm();
  const input = useRef<HTMLInputElement>(null);
  const take = (files: FileList | null) => {
    if (files?.[0]) send.mutate([files[0]], { onSuccess: (kept) => change(kept.name) });
  };
  const problem = send.error ? wordsOf(send.error) : error;
  return (
    <div className="flex flex-col gap-1.5">
      <span className="text-ink-2">{label}</span>
      <span className="flex gap-1">
        <button
          type="button"
          onClick={() => input.current?.click()}
          onDragOver={(event) => event.preventDefault()}
          onDrop={(event) => {
            event.preventDefault();
            take(event.dataTransfer.files);
          }}
          className="flex min-h-10 flex-1 items-center justify-center gap-1.5 rounded-lg border border-dashed border-ink-3 bg-paper px-2 text-xs text-ink-2 hover:border-ink"
        >
          <Film size={15} aria-hidden="true" />
          {send.isPending
            ? 'Taking it in …'
            : name
              ? 'There is one. Drop or choose another'
              : 'Drop a file, or choose one'}
        </button>
        {name && (
          <Button look="bare" aria-label={`Take away: ${label}`} onClick={() => change(null)}>
            <Trash2 size={12} aria-hidden="true" />
          </Button>
        )}
      </span>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        className="hidden"
        onChange={(event) => {
          take(event.target.files);
          event.target.value = '';
        }}
      />
      {problem && (
        <p role="alert" className="text-rose-ink">
          {problem}
        </p>
      )}
    </div>
  );
}
