import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { plannedStates } from '../../../contract/exchange';
import {
  useImport,
  useImportPreview,
  useImportWrites,
  type ImportChanges,
  type PlannedState,
} from '../../data/exchange';
import { useUnsaved } from '../../shared/autosave/unsaved';
import { Button } from '../../shared/ui/button';
import { useConfirm } from '../../shared/ui/confirm';
import { count, products } from '../../shared/ui/count';
import { Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { FileColumns } from './file-columns';
import { HowItIsRead } from './how-it-is-read';
import { MappingField } from './mapping-field';
import { PlannedProducts } from './planned-products';
import { stateWords } from './state-words';
import { tellRefused } from '../../data/tell-refused';

/** Products that are listed on one page. */
const ON_PAGE = 50;

/** One file: how it is read, what it will do cell by cell, and doing it. */
export function ImportPage({ id }: { id: string }) {
  const { data, error } = useImport(id);
  const [only, setOnly] = useState<PlannedState | null>(null);
  const [offset, setOffset] = useState(0);
  const preview = useImportPreview(id, only, offset, ON_PAGE);
  const { change, run, drop } = useImportWrites(id);
  const tellUnsaved = useUnsaved();
  const { isPending } = change;
  // Whoever leaves waits for what was mended.
  useEffect(() => tellUnsaved(isPending ? { problems: [], isOnItsWay: true } : null), [isPending, tellUnsaved]);
  const navigate = useNavigate();
  const [ask, dialog] = useConfirm();
  useTitle(data ? `${data.name} · Exchange` : 'Exchange');
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={8} />;
  const set = (changes: ImportChanges) => change.mutate(changes, { onError: tellRefused });
  const { counts, missing = 0, made = [], warnings = [] } = preview.data ?? {};
  const total = preview.data?.total ?? 0;
  // What is mended or left out makes the list shorter.
  if (preview.data && !preview.isPlaceholderData && offset > 0 && offset >= total) setOffset(0);
  const doing = (counts?.new ?? 0) + (counts?.changed ?? 0) + (counts?.deleted ?? 0) + missing;
  const isDone = data.state === 'done';
  const go = () =>
    run.mutate(undefined, {
      onSuccess: ({ outcome, state }) => {
        if (state === 'done') toast.success(outcome);
        void navigate('/exchange');
      },
      onError: tellRefused,
    });
  const deletes = counts?.deleted ?? 0;
  const begin = () =>
    deletes > 0
      ? ask({
          title: `Delete ${products(deletes)}?`,
          detail: 'It is one change, which you can undo.',
          doIt: 'Delete them',
          run: go,
        })
      : go();
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      {dialog}
      <div className="sticky -top-4 z-20 -mx-4 -mt-4 mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line bg-paper px-4 py-3">
        <div className="min-w-0">
          <Link to="/exchange" className="text-xs text-ink-2 hover:underline">
            Exchange
          </Link>
          <h1 className="break-words font-display text-xl font-bold">{data.name}</h1>
        </div>
        <span className="text-ink-2">
          {count(data.rows)} rows{data.pictures > 0 && `, ${count(data.pictures)} pictures`}
        </span>
        <span className="ml-auto flex gap-2">
          <Button
            onClick={() =>
              drop.mutate(undefined, { onSuccess: () => void navigate('/exchange'), onError: tellRefused })
            }
            disabled={drop.isPending}
          >
            Forget this file
          </Button>
          {!isDone && (
            <Button
              look="main"
              disabled={doing === 0 || run.isPending || change.isPending || preview.isFetching}
              onClick={begin}
            >
              {run.isPending ? 'Under way …' : doing > 0 ? `Import ${products(doing)}` : 'Nothing to import'}
            </Button>
          )}
        </span>
      </div>
      {isDone ? (
        <p role="status" className="sheet max-w-3xl p-4">
          {data.outcome}. It is one change:{' '}
          <Link to="/history" className="underline">
            the history
          </Link>{' '}
          takes it back.
        </p>
      ) : (
        <>
          {warnings.length > 0 && (
            <ul role="alert" className="mb-4 max-w-5xl rounded-lg bg-rose-soft px-4 py-2 font-semibold text-rose-ink">
              {warnings.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
          )}
          <HowItIsRead file={data} set={set} />
          <FileColumns file={data} set={set} />
          <MappingField file={data} />
          <section aria-label="What it will do" className="mt-6">
            <div className="flex flex-wrap items-center gap-2">
              <h2 className="mr-2 font-display text-lg font-bold">What it will do</h2>
              {plannedStates.map((state) => {
                const number = counts?.[state] ?? 0;
                return number === 0 && only !== state ? null : (
                  <button
                    key={state}
                    type="button"
                    aria-pressed={only === state}
                    onClick={() => {
                      setOnly(only === state ? null : state);
                      setOffset(0);
                    }}
                    className="rounded-lg bg-sheet px-2.5 py-1 shadow-sm hover:bg-line aria-pressed:bg-ink aria-pressed:text-sheet"
                  >
                    {count(number)} {stateWords[state].words}
                  </button>
                );
              })}
              {(counts?.refused ?? 0) > 0 && (
                <a href={`/api/imports/${id}/refused.csv`} download className="text-petrol-ink hover:underline">
                  Take the refused rows out as a file
                </a>
              )}
            </div>
            {made.length > 0 && (
              <p className="mt-2 text-ink-2">
                Made with it: {made.slice(0, 12).join(', ')}
                {made.length > 12 && ` and ${made.length - 12} more`}
              </p>
            )}
            {data.settings.leftOut.length > 0 && (
              <p className="mt-2 text-ink-2">
                {count(data.settings.leftOut.length)} {data.settings.leftOut.length === 1 ? 'row is' : 'rows are'} left
                out.{' '}
                <button
                  type="button"
                  className="text-petrol-ink hover:underline"
                  onClick={() => set({ takesBack: true })}
                >
                  Take them back
                </button>
              </p>
            )}
            {missing > 0 && (
              <p className="mt-2 text-ink-2">{products(missing)} that the file does not name become drafts.</p>
            )}
            {preview.error && <Failed error={preview.error} />}
            {!preview.data && !preview.error && <Loading rows={6} />}
            {preview.data && <PlannedProducts file={data} preview={preview.data} set={set} />}
            {preview.data && preview.data.total > ON_PAGE && (
              <nav aria-label="Pages of what it will do" className="mt-3 flex items-center gap-3">
                <Button disabled={offset === 0} onClick={() => setOffset(Math.max(0, offset - ON_PAGE))}>
                  Those before
                </Button>
                <span className="text-ink-2">
                  {count(offset + 1)}–{count(Math.min(offset + ON_PAGE, preview.data.total))} of{' '}
                  {count(preview.data.total)}
                </span>
                <Button disabled={offset + ON_PAGE >= preview.data.total} onClick={() => setOffset(offset + ON_PAGE)}>
                  Those after
                </Button>
              </nav>
            )}
          </section>
        </>
      )}
    </div>
  );
}
