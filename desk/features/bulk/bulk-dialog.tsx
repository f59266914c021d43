import { Dialog, DialogBackdrop, DialogPanel, DialogTitle } from '@headlessui/react';
import clsx from 'clsx';
import { useDeferredValue, useState } from 'react';
import { bulkActions, type BulkKey } from '../../../core/bulk/bulk-actions';
import { useSettings } from '../../data/shopfront';
import { useProblems } from '../../shared/autosave/unsaved';
import { Button } from '../../shared/ui/button';
import { count, products } from '../../shared/ui/count';
import { Thumb } from '../../shared/ui/thumb';
import { bulkForms } from './forms/forms';
import { usePreview, useRunBulk, type PreviewFilter, type RequestInput, type WhichInput } from '../../data/bulk';
import { refusalOf } from '../../data/tell-refused';

interface Props {
  action: BulkKey;
  which: WhichInput;
  close: () => void;
  /** told after the goods were changed */
  done?: () => void;
}

type Row = NonNullable<ReturnType<typeof usePreview>['data']>['rows'][number];

function PreviewRow({ row }: { row: Row }) {
  const isSame = row.lines.length === 0 && row.problem === null;
  return (
    <li className={clsx('flex items-center gap-3 border-b border-hair px-3 py-1.5', isSame && 'opacity-60')}>
      <Thumb src={row.thumbnail} className="size-8" />
      <span className="w-52 shrink-0 truncate font-medium" title={row.title}>
        {row.title}
      </span>
      <span className="min-w-0 flex-1">
        {row.problem !== null && <span className="text-rose-ink">stays: {row.problem}</span>}
        {isSame && <span className="text-ink-2">is so already</span>}
        {row.lines.map(({ label, before, after }) => (
          <span key={label} className="mr-4 inline-block">
            <span className="text-ink-2">{label}</span> {before && <del className="text-ink-2">{before}</del>}{' '}
            {before && '→'} <strong>{after || 'nothing'}</strong>
          </span>
        ))}
        {row.notes.map((note) => (
          <span key={note} className="mr-3 inline-block rounded bg-marigold-soft px-1.5 text-xs text-marigold-ink">
            {note}
          </span>
        ))}
      </span>
    </li>
  );
}

const filters: {
  key: PreviewFilter;
  words: (counts: { changing: number; failing: number; total: number }) => string;
}[] = [
  { key: 'all', words: ({ total }) => `All ${count(total)}` },
  { key: 'changing', words: ({ changing }) => `${count(changing)} change` },
  { key: 'failing', words: ({ failing }) => `${count(failing)} cannot be changed` },
];

/** Does one thing to many products: what is asked for on the left, what becomes of each on the right, before it is done. */
export function BulkDialog({ action, which, close, done }: Props) {
  const formOrRequest = bulkForms[action];
  const Form = typeof formOrRequest === 'function' ? formOrRequest : undefined;
  const { data: settings } = useSettings();
  const [request, setRequest] = useState<RequestInput | undefined>(
    typeof formOrRequest === 'function' ? undefined : formOrRequest,
  );
  const [only, setOnly] = useState<PreviewFilter>('all');
  const asked = useDeferredValue(request);
  const preview = usePreview(which, asked, only);
  const run = useRunBulk();
  const problems = useProblems();
  // What cannot be read on the page below was so before.
  const [before] = useState(problems.length);
  const isUnread = problems.length > before;
  const counts = request === undefined ? undefined : preview.data;
  const same = counts ? counts.total - counts.changing - counts.failing : 0;
  const error = run.error ?? (request !== undefined ? preview.error : null);
  const start = () =>
    run.mutate(
      { which, request: request! },
      {
        onSuccess: () => {
          done?.();
          close();
        },
      },
    );
  return (
    <Dialog open onClose={close} className="relative z-50">
      <DialogBackdrop className="fixed inset-0 bg-ink/40" />
      <div className="fixed inset-0 flex items-center justify-center p-4">
        <DialogPanel className="sheet flex max-h-[88vh] w-full max-w-5xl flex-col overflow-hidden max-md:max-h-full">
          <DialogTitle className="px-5 pt-4 font-display text-lg font-bold">
            {bulkActions[action].name}
            {counts && (
              <span className="font-sans text-[13px] font-normal text-ink-2"> of {products(counts.total)}</span>
            )}
          </DialogTitle>
          <div className="flex min-h-[300px] flex-1 gap-5 overflow-hidden px-5 py-4 max-md:flex-col max-md:overflow-y-auto">
            {Form && (
              <div className="-ml-1 flex w-[17rem] shrink-0 flex-col gap-3.5 overflow-y-auto px-1 max-md:w-full">
                <Form change={setRequest} timeZone={settings?.timeZone ?? 'UTC'} />
              </div>
            )}
            <div className="flex min-w-0 flex-1 flex-col overflow-hidden rounded-[10px] border border-line">
              <div className="flex gap-1 border-b border-line bg-paper p-1">
                {counts ? (
                  filters.map(({ key, words }) => (
                    <button
                      key={key}
                      type="button"
                      aria-pressed={only === key}
                      onClick={() => setOnly(key)}
                      className={clsx('rounded-md px-2.5 py-1', only === key ? 'bg-sheet font-semibold' : 'text-ink-2')}
                    >
                      {words(counts)}
                    </button>
                  ))
                ) : (
                  <span className="px-2.5 py-1 text-ink-2">What would become of each shows here first.</span>
                )}
                {counts && same > 0 && (
                  <span className="ml-auto px-2 py-1 text-ink-2">
                    {count(same)} {same === 1 ? 'is' : 'are'} so already
                  </span>
                )}
              </div>
              <ul className="min-h-0 flex-1 overflow-y-auto" aria-label="What would change" tabIndex={0}>
                {counts?.rows.map((row) => (
                  <PreviewRow key={row.id} row={row} />
                ))}
                {counts && counts.rows.length === 100 && (
                  <li className="px-3 py-2 text-ink-2">The first 100 are shown; all are counted.</li>
                )}
              </ul>
            </div>
          </div>
          <div className="flex items-center gap-3 border-t border-line bg-paper px-5 py-3">
            {error && (
              <p role="alert" className="text-rose-ink">
                {refusalOf(error)}
              </p>
            )}
            <span className="ml-auto flex gap-2">
              <Button onClick={close}>Cancel</Button>
              <Button
                look={action === 'delete' ? 'danger' : 'main'}
                disabled={!counts || counts.changing === 0 || isUnread || run.isPending || asked !== request}
                onClick={start}
              >
                {action === 'delete' ? 'Delete' : 'Change'} {counts ? products(counts.changing) : 'them'}
              </Button>
            </span>
          </div>
        </DialogPanel>
      </div>
    </Dialog>
  );
}
