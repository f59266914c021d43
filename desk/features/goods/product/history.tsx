import { useState } from 'react';
import { ChangeLine } from '../../../shared/change-line';
import { Button } from '../../../shared/ui/button';
import { Failed, Loading } from '../../../shared/ui/states';
import { useHistory } from '../../../data/goods';
import { Part } from './part';

function Changes({ id }: { id: string }) {
  const { data, error } = useHistory(id);
  if (error && !data) return <Failed error={error} />;
  if (!data) return <Loading rows={3} />;
  return (
    <ol className="max-h-80 overflow-y-auto">
      {data.changes.map((change) => (
        <ChangeLine key={change.id} change={change} />
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
