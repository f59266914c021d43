import { useState } from 'react';
import { toast } from 'sonner';
import { useEditionWrites, type Review } from '../../data/review';
import { useStatus } from '../../data/session';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { MomentField } from '../../shared/ui/moment-field';
import { refusalOf } from '../../data/tell-refused';
import { emptied } from '../../shared/ui/emptied';

const changesOf = (count: number) => `${count} ${count === 1 ? 'change' : 'changes'}`;

/** Tomorrow at six, by this clock: the moment that is proposed. */
function tomorrow(): string {
  const day = new Date();
  day.setDate(day.getDate() + 1);
  day.setHours(6, 0, 0, 0);
  return day.toISOString();
}

/** Asks when the work is to go live by itself. */
function PlanDialog({
  ready,
  body,
  close,
}: {
  ready: number;
  body: { label: string; note: string };
  close: () => void;
}) {
  const { timeZone = 'UTC' } = useStatus().data ?? {};
  const { plan } = useEditionWrites();
  const [at, setAt] = useState<string | null>(tomorrow);
  const problem = plan.error && refusalOf(plan.error);
  return (
    <Dialog title="Put live later" isOpen close={close} isForm>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          plan.mutate(
            { at: at ?? '', ...body },
            {
              onSuccess: () => {
                toast(`${changesOf(ready)} will go live by themselves`);
                close();
              },
            },
          );
        }}
      >
        <p className="mb-4 text-ink-2">
          The {changesOf(ready)} of now go live by themselves then. What you change until then stays out of it, and goes
          on with the next edition.
        </p>
        <MomentField
          label="Goes live"
          value={at}
          timeZone={timeZone}
          error={problem ?? undefined}
          change={(moment) => {
            setAt(moment);
            plan.reset();
          }}
        />
        <div className="mt-5 flex justify-end gap-2">
          <Button onClick={close}>Not now</Button>
          <Button look="live" type="submit" disabled={plan.isPending}>
            Plan it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** Puts what is not held back live: now, or at a moment to come. */
export function PutLive({ review }: { review: Review }) {
  const { putLive } = useEditionWrites();
  const [label, setLabel] = useState('');
  const [note, setNote] = useState('');
  const [isPlanning, setPlanning] = useState(false);
  const ready = review.total - review.heldBack;
  const put = () =>
    putLive.mutate(
      { label, note },
      {
        onSuccess: (edition) => {
          setLabel(emptied(label));
          setNote(emptied(note));
          toast(`Edition ${edition.number} is live`);
        },
      },
    );
  return (
    <>
      <form
        className="flex flex-wrap items-start gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          put();
        }}
      >
        <input
          aria-label="What this edition is about"
          placeholder="What is it about? (for you)"
          value={label}
          maxLength={120}
          onChange={(event) => setLabel(event.target.value)}
          className="field !w-64"
        />
        {(label !== '' || note !== '') && (
          <textarea
            aria-label="Note for this edition"
            placeholder="A note, if you like"
            rows={1}
            value={note}
            maxLength={2000}
            onChange={(event) => setNote(event.target.value)}
            className="field !w-64"
          />
        )}
        <Button look="live" type="submit" disabled={putLive.isPending || ready === 0}>
          Put {changesOf(ready)} live
        </Button>
        <Button disabled={ready === 0} onClick={() => setPlanning(true)}>
          Later …
        </Button>
        {review.heldBack > 0 && <span className="self-center text-ink-2">{changesOf(review.heldBack)} held back</span>}
      </form>
      {/* Not inside the form: what is sent there would reach this one too. */}
      {isPlanning && (
        <PlanDialog
          ready={ready}
          body={{ label, note }}
          close={() => {
            setPlanning(false);
          }}
        />
      )}
    </>
  );
}
