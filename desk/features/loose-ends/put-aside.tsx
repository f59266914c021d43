import { useState } from 'react';
import { CallError, wordsOf } from '../../data/api';
import { useLooseWrites, type LooseEndRow } from '../../data/loose-ends';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';

/** Asks why a loose end may stay as it is, and until when. */
export function PutAside({ check, end, close }: { check: string; end: LooseEndRow; close: () => void }) {
  const { putAside } = useLooseWrites();
  const [reason, setReason] = useState('');
  const [until, setUntil] = useState('');
  const errorAt = (field: string) =>
    putAside.error instanceof CallError
      ? putAside.error.errors.find(({ path }) => path[0] === field)?.message
      : undefined;
  const other = putAside.error && !errorAt('reason') && !errorAt('until') ? wordsOf(putAside.error) : undefined;
  return (
    <Dialog title={`Put “${end.title}” aside`} isOpen close={close} isForm>
      <form
        noValidate
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          const { kind, key } = end;
          putAside.mutate({ check, kind, key, reason, until: until || null }, { onSuccess: close });
        }}
      >
        <p className="text-ink-2">It is not counted while it is put aside, and comes back on its day.</p>
        <TextField
          label="Why it may stay so"
          value={reason}
          error={errorAt('reason')}
          onChange={(event) => setReason(event.target.value)}
        />
        <TextField
          label="Until (empty for good)"
          type="date"
          value={until}
          error={errorAt('until')}
          onChange={(event) => setUntil(event.target.value)}
          className="!w-44"
        />
        {other && (
          <p role="alert" className="text-rose-ink">
            {other}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <Button onClick={close}>Leave it</Button>
          <Button look="main" type="submit" disabled={putAside.isPending}>
            Put it aside
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
