import { format, formatDistanceToNow } from 'date-fns';
import { Redo2, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { routes } from '../../contract';
import type { ChangeWithDetails } from '../../contract/history';
import { call, CallError } from '../data/api';

const FIRST = 3;

/** Takes a change back or does it again, whichever it is time for; says why where that cannot be. */
async function reverse({ id, undone }: ChangeWithDetails): Promise<void> {
  try {
    const { label } = await call(routes.history.reverse, { params: { id: String(id) } });
    toast(`${undone ? 'Done again' : 'Taken back'}: ${label}`);
  } catch (error) {
    const later = error instanceof CallError ? error.problem.detail : undefined;
    toast.error((error as Error).message, { description: later && `First take back: ${later.split('\n').join('; ')}` });
  }
}

/** One change: who, when, what of which, from what to what, and the way back. */
export function ChangeLine({ change }: { change: ChangeWithDetails }) {
  const [isLong, setLong] = useState(false);
  const { details, more, kind, undone } = change;
  const shown = isLong ? details : details.slice(0, FIRST);
  const hidden = details.length - shown.length;
  return (
    <li className="flex gap-3 border-b border-hair py-2.5 last:border-0">
      <div className="min-w-0 flex-1">
        <p className={undone ? 'text-ink-2 line-through' : ''}>
          {kind === 'undo' && 'Taken back: '}
          {kind === 'redo' && 'Done again: '}
          <span className="font-semibold">{change.label}</span>
        </p>
        <ul>
          {shown.map(({ of, label, before, after }, i) => (
            <li key={i} className="truncate text-ink-2">
              {of && <span className="text-ink">{of} · </span>}
              {label}: {before && <del>{before}</del>} {before && '→'}{' '}
              {after ? <span className="text-ink">{after}</span> : 'nothing'}
            </li>
          ))}
        </ul>
        {(hidden > 0 || (isLong && more > 0)) && (
          <p className="text-ink-2">
            {hidden > 0 ? (
              <button type="button" onClick={() => setLong(true)} className="text-petrol hover:underline">
                {hidden + more} more
              </button>
            ) : (
              `and ${more} more`
            )}
          </p>
        )}
        <p className="mt-0.5 text-xs text-ink-2" title={format(new Date(change.at), 'PPpp')}>
          {change.userName ?? 'the demo'}, {formatDistanceToNow(new Date(change.at), { addSuffix: true })}
        </p>
      </div>
      {kind === 'edit' && (
        <button
          type="button"
          onClick={() => void reverse(change)}
          className="flex shrink-0 items-center gap-1 self-start rounded-lg px-2 py-1 font-medium text-petrol-ink hover:bg-sunk"
        >
          {undone ? <Redo2 size={14} aria-hidden="true" /> : <Undo2 size={14} aria-hidden="true" />}
          {undone ? 'Do again' : 'Take back'}
        </button>
      )}
    </li>
  );
}
