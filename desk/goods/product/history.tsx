import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { Button } from '../../ui/button';
import { Failed, Loading } from '../../ui/states';
import { useHistory } from '../queries';
import { Part } from './part';

function Changes({ id }: { id: string }) {
  const { data, error } = useHistory(id);
  if (error && !data) return <Failed error={error} />;
  if (!data) return <Loading rows={3} />;
  return (
    <ol className="flex max-h-80 flex-col gap-2.5 overflow-y-auto">
      {data.changes.map((change) => (
        <li key={change.id} className={change.undone ? 'opacity-60' : ''}>
          <p>
            {change.kind === 'undo' && 'Undone: '}
            {change.kind === 'redo' && 'Done again: '}
            <span className="font-medium">{change.label}</span>{' '}
            <span className="text-ink-2">
              {change.userName ?? 'the demo'}, {formatDistanceToNow(new Date(change.at), { addSuffix: true })}
            </span>
          </p>
          {change.details.map((detail, i) => (
            <p key={i} className="ml-3 truncate text-ink-2">
              {detail.label}: {detail.before && <s>{detail.before}</s>} {detail.after}
            </p>
          ))}
        </li>
      ))}
    </ol>
  );
}

/** What was changed on this product, when and by whom; read only when it is wanted. */
export function History({ id }: { id: string }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Part
      id="history"
      title="History"
      aside={
        <Button look="bare" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Fold' : 'Show what changed'}
        </Button>
      }
    >
      {isOpen && <Changes id={id} />}
    </Part>
  );
}
