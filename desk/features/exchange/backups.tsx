import { useEffect, useRef } from 'react';
import { useJobs } from '../../data/bulk';
import { useBackups, useBackupWrites, type BackupPlan } from '../../data/backups';
import { CallError } from '../../data/api';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { useConfirm } from '../../shared/ui/confirm';
import { fileSize } from '../../shared/ui/file-size';
import { Select } from '../../shared/ui/select';
import { Failed, Loading } from '../../shared/ui/states';
import { SwingTag } from '../../shared/ui/swing-tag';
import { Tick } from '../../shared/ui/tick';
import { tellRefused } from '../../data/tell-refused';

const dayAndTime = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });
const hours = Array.from({ length: 24 }, (_, hour) => ({
  value: String(hour),
  label: `at ${String(hour).padStart(2, '0')}:00`,
}));
const numbersKept = [1, 3, 7, 14, 30, 60].map((keep) => ({ value: String(keep), label: `the last ${keep}` }));

/** When copies are made by themselves. */
function Plan({ plan, change }: { plan: BackupPlan; change: (change: Partial<BackupPlan>) => void }) {
  return (
    <section aria-label="Automatic backups" className="sheet p-5">
      <h2 className="font-display text-lg font-bold">Automatic backups</h2>
      <Tick label="Make a backup every night" checked={plan.nightly} change={(nightly) => change({ nightly })} />
      {plan.nightly && (
        <p className="flex flex-wrap items-center gap-2">
          <Select
            label="Hour"
            value={String(plan.hour)}
            choices={hours}
            choose={(hour) => change({ hour: Number(hour) })}
          />
          and keep
          <Select
            label="How many are kept"
            value={String(plan.keep)}
            choices={numbersKept}
            choose={(keep) => change({ keep: Number(keep) })}
          />
        </p>
      )}
      <p className="mt-2 max-w-prose text-xs text-ink-2">
        Nights are those of the shop’s time zone. Backups that you make yourself are kept until you delete them.
      </p>
    </section>
  );
}

/** Copies of the whole shop: made now or each night, fetched, deleted. */
export function Backups() {
  const { data, error } = useBackups();
  const { data: jobs } = useJobs();
  const { make, drop, plan, again } = useBackupWrites();
  const [ask, dialog] = useConfirm();
  const making =
    jobs?.jobs.filter(({ label, state }) => label === 'Making a backup' && state === 'running').length ?? 0;
  const was = useRef(making);
  useEffect(() => {
    if (was.current > making) void again();
    was.current = making;
  }, [making, again]);
  if (error instanceof CallError && error.is('owner'))
    return (
      <p className="text-ink-2">A backup holds everything, orders and people too. Ask an owner of the shop for one.</p>
    );
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={3} />;
  return (
    <div className="grid max-w-5xl items-start gap-5 lg:grid-cols-[1fr_20rem]">
      <section aria-label="Backups" className="min-w-0">
        <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
          <Button
            look="main"
            disabled={making > 0 || make.isPending}
            onClick={() => make.mutate(undefined, { onError: tellRefused })}
          >
            {making > 0 ? 'Making a backup …' : 'Make a backup now'}
          </Button>
          <p className="max-w-prose text-ink-2">
            One ZIP file with everything: goods, pictures, files, editions, orders, people and the history. You can go
            on working meanwhile.
          </p>
        </div>
        {data.problem && (
          <p role="alert" className="mb-3 rounded-lg bg-rose-soft px-3 py-2 text-rose-ink">
            The last nightly backup failed: {data.problem}
          </p>
        )}
        {data.backups.length === 0 ? (
          <p className="sheet p-6 text-ink-2">There is no backup yet.</p>
        ) : (
          <ul className="sheet divide-y divide-hair px-4">
            {data.backups.map(({ name, at, bytes, byPlan, products, pictures }) => (
              <li key={name} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
                <a href={`/api/backups/${name}/file`} download={name} className="font-semibold hover:underline">
                  {dayAndTime.format(new Date(at))}
                </a>
                {byPlan && <SwingTag look="petrol">nightly</SwingTag>}
                <span className="text-ink-2">
                  {fileSize(bytes)}, {count(products)} products, {count(pictures)} pictures
                </span>
                <button
                  type="button"
                  className="ml-auto text-rose-ink hover:underline"
                  onClick={() =>
                    ask({
                      title: 'Delete this backup?',
                      detail: `The shop as it was on ${dayAndTime.format(new Date(at))} can no longer be brought back from it.`,
                      doIt: 'Delete it',
                      run: () => drop.mutate(name, { onError: tellRefused }),
                    })
                  }
                >
                  Delete
                </button>
              </li>
            ))}
          </ul>
        )}
      </section>
      <div className="grid gap-5">
        <Plan plan={data.plan} change={(next) => plan.mutate(next, { onError: tellRefused })} />
        <section aria-label="Bringing a shop back" className="sheet p-5">
          <h2 className="font-display text-lg font-bold">Bringing a shop back</h2>
          <p className="mt-1">
            Start Dispona on an empty folder and choose the ZIP on its first screen. Or, while the shop is stopped, type
          </p>
          <code className="my-2 block rounded-lg bg-sunk px-2 py-1 text-xs">npm run restore -- shop.zip</code>
          <p className="text-xs text-ink-2">
            The shop that was there is moved aside, not deleted. Backups lie in{' '}
            <code className="break-all">{data.folder}</code>. On another disk they survive this one: set
            DISPONA_BACKUPS, or download them.
          </p>
        </section>
      </div>
      {dialog}
    </div>
  );
}
