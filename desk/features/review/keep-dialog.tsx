import { useState } from 'react';
import { toast } from 'sonner';
import { useEditionWrites, type KeepRule } from '../../data/review';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { OneOf } from '../../shared/ui/one-of';
import { refusalOf } from '../../data/tell-refused';

/** Which old editions are kept, in words. */
export const keepWords = (keep: KeepRule | null): string =>
  keep ? `All of ${keep.days} days are kept, before that one a ${keep.then}` : 'All editions are kept';

/** Asks which old editions are kept. */
export function KeepDialog({ keep, close }: { keep: KeepRule | null; close: () => void }) {
  const { keepEditions } = useEditionWrites();
  const [days, setDays] = useState(String(keep?.days ?? 90));
  const [then, setThen] = useState<string>(keep?.then ?? 'all');
  const { error } = keepEditions;
  const problem = error && refusalOf(error);
  return (
    <Dialog title="Old editions" isOpen close={close}>
      <form
        noValidate
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          const rule = then === 'all' ? null : { days: days.trim() === '' ? NaN : Number(days), then: then as 'week' };
          keepEditions.mutate(rule, {
            onSuccess: ({ gone }) => {
              toast(
                gone === 0 ? 'Nothing had to go' : `${gone} old ${gone === 1 ? 'edition is' : 'editions are'} gone`,
              );
              close();
            },
          });
        }}
      >
        <p className="text-ink-2">
          The live edition, the first one, those with a note and those that you went back to always stay. What is gone
          cannot be seen or gone back to.
        </p>
        <OneOf
          label="Of old editions, keep"
          value={then}
          choose={setThen}
          choices={[
            { value: 'all', label: 'all' },
            { value: 'week', label: 'one a week' },
            { value: 'month', label: 'one a month' },
          ]}
        />
        {then !== 'all' && (
          <TextField
            label="Old is what is older than so many days"
            inputMode="numeric"
            value={days}
            error={problem ?? undefined}
            onChange={(event) => {
              setDays(event.target.value);
              keepEditions.reset();
            }}
            className="!w-24"
          />
        )}
        <div className="flex justify-end gap-2">
          <Button onClick={close}>Leave it</Button>
          <Button look="main" type="submit" disabled={keepEditions.isPending}>
            Keep them so
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
