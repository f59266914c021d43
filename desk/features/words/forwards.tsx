import { ArrowRight, Trash2 } from 'lucide-react';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import type { Link } from '../../../core/model/target';
import { useForwards, useForwardWrites, useMissed, type BroughtForward } from '../../data/searched';
import { LinkField } from '../../shared/pickers/link-field';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Dialog } from '../../shared/ui/dialog';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { refusalOf, tellRefused } from '../../data/tell-refused';

const PAGE = 100;
const byWords = { hand: 'by hand', import: 'by import', renamed: 'renamed' } as const;

/** A new forward, or one for a path that was missed. */
function NewForward({ from, close }: { from: string; close: () => void }) {
  const [path, setPath] = useState(from);
  const [to, setTo] = useState<Link | null>(null);
  const [isGone, setGone] = useState(false);
  const [error, setError] = useState('');
  const { set } = useForwardWrites();
  return (
    <Dialog title="A path forwards" isOpen close={close} isForm>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          set.mutate(
            { path, to: isGone ? null : to },
            { onSuccess: close, onError: (problem) => setError(refusalOf(problem)) },
          );
        }}
      >
        <label className="block">
          <span className="mb-1 block font-semibold">Path</span>
          <input
            value={path}
            placeholder="/kites/red-harrier.html"
            onChange={(event) => {
              setPath(event.target.value);
              setError('');
            }}
            aria-invalid={error !== ''}
            className="field w-full"
          />
        </label>
        <label className="mt-3 flex items-center gap-2">
          <input
            type="checkbox"
            checked={isGone}
            onChange={(event) => setGone(event.target.checked)}
            className="size-4 accent-petrol"
          />
          What was there is gone for good
        </label>
        {!isGone && (
          <div className="mt-3">
            <span className="mb-1 block font-semibold">Leads to</span>
            <LinkField label="Leads to" link={to} change={setTo} />
          </div>
        )}
        {error && (
          <p role="alert" className="mt-2 text-rose-ink">
            {error}
          </p>
        )}
        <div className="mt-5 flex justify-end gap-2">
          <Button onClick={close}>Not now</Button>
          <Button type="submit" look="main" disabled={path.trim() === '' || (!isGone && to === null) || set.isPending}>
            Forward it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** What a table of forwards would change. */
function Brought({ forwards, close }: { forwards: readonly BroughtForward[]; close: () => void }) {
  const { take } = useForwardWrites();
  const good = forwards.filter(({ what }) => what === 'new' || what === 'changed');
  const refused = forwards.filter(({ what }) => what === 'refused');
  return (
    <Dialog title={`${count(forwards.length)} forwards`} isOpen close={close} width="max-w-2xl">
      <p className="mb-2 text-ink-2">
        {count(good.length)} new or changed, {count(forwards.length - good.length - refused.length)} as they are,{' '}
        {count(refused.length)} refused.
      </p>
      <ul className="max-h-[45vh] divide-y divide-hair overflow-y-auto rounded-lg border border-line">
        {[...refused, ...good].slice(0, 300).map(({ path, label, what, note }, i) => (
          <li key={i} className="px-3 py-1.5">
            <span className="break-all">{path}</span> <ArrowRight size={12} className="inline" aria-hidden="true" />{' '}
            <span className="break-words">{label}</span>
            {what === 'refused' && <span className="block text-xs text-rose-ink">{note}</span>}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={close}>Take nothing</Button>
        <Button
          look="main"
          disabled={good.length === 0 || take.isPending}
          onClick={() =>
            take.mutate(
              { forwards: good.map(({ path, to }) => ({ path, to })) },
              {
                onSuccess: ({ taken }) => {
                  close();
                  toast(`Took ${count(taken)} forwards. One undo takes them back.`);
                },
                onError: tellRefused,
              },
            )
          }
        >
          Take {count(good.length)}
        </Button>
      </div>
    </Dialog>
  );
}

/** Paths that were asked for in vain. */
function Missed({ forward }: { forward: (path: string) => void }) {
  const { data } = useMissed();
  const { set, forget } = useForwardWrites();
  if (!data || data.paths.length === 0) return null;
  return (
    <section aria-label="Asked for in vain" className="sheet mb-4 max-w-5xl p-4">
      <h2 className="font-display text-lg font-bold">Asked for in vain</h2>
      <p className="mb-2 text-ink-2">Nothing stands at these paths, and browsers or old links still ask for them.</p>
      <ul className="divide-y divide-hair">
        {data.paths.slice(0, 30).map(({ path, times, nearest }) => (
          <li key={path} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
            <span className="min-w-0 flex-1 break-all">{path}</span>
            <span className="text-xs tabular-nums text-ink-2">{count(times)} times</span>
            {nearest && (
              <Button onClick={() => set.mutate({ path, to: nearest.to }, { onError: tellRefused })}>
                Forward to {nearest.label}
              </Button>
            )}
            <Button look="bare" onClick={() => forward(path)}>
              Forward elsewhere
            </Button>
            <Button look="bare" onClick={() => set.mutate({ path, to: null }, { onError: tellRefused })}>
              Gone for good
            </Button>
            <Button look="bare" onClick={() => forget.mutate(path, { onError: tellRefused })}>
              Leave it
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Where old addresses lead. */
export function Forwards() {
  const [q, setQ] = useState('');
  const [offset, setOffset] = useState(0);
  const [from, setFrom] = useState<string | null>(null);
  const [brought, setBrought] = useState<readonly BroughtForward[] | null>(null);
  const { data, error } = useForwards(q.trim(), offset);
  const { bring, drop } = useForwardWrites();
  const input = useRef<HTMLInputElement>(null);
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={8} />;
  return (
    <>
      <Missed forward={setFrom} />
      <div className="sheet max-w-5xl">
        <div className="flex flex-wrap items-center gap-2 border-b border-line p-3">
          <input
            type="search"
            aria-label="Find a path"
            placeholder="Find a path"
            value={q}
            onChange={(event) => {
              setQ(event.target.value);
              setOffset(0);
            }}
            className="field w-56"
          />
          <span className="mr-auto text-ink-2">{count(data.total)} forwards</span>
          <input
            ref={input}
            type="file"
            accept=".csv,.txt,.tsv"
            aria-label="Table of forwards"
            className="sr-only"
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              target.value = '';
              if (file)
                void file
                  .text()
                  .then((text) =>
                    bring.mutate(text, { onSuccess: ({ forwards }) => setBrought(forwards), onError: tellRefused }),
                  );
            }}
          />
          <Button title="Two columns: old path, new address" onClick={() => input.current?.click()}>
            Bring a table in
          </Button>
          <Button look="main" onClick={() => setFrom('')}>
            New forward
          </Button>
        </div>
        {data.forwards.length === 0 ? (
          <Empty title="No path forwards">
            When you rename something, its old address forwards by itself. Paths of an older shop can be added here.
          </Empty>
        ) : (
          <ul className="divide-y divide-hair">
            {data.forwards.map(({ path, to, url, by, isFixed }) => (
              <li key={`${by} ${path}`} className="flex flex-wrap items-center gap-x-3 px-4 py-1.5">
                <span className="min-w-0 flex-1 break-all">{path}</span>
                <ArrowRight size={14} className="shrink-0 text-ink-3" aria-label="leads to" />
                <span className="min-w-0 flex-1 break-words">
                  {to === null ? (
                    <span className="text-ink-2">gone for good</span>
                  ) : (
                    <>
                      {to.label}{' '}
                      {url === null ? (
                        <span className="rounded-md bg-rose-soft px-1.5 py-px text-xs text-rose-ink">
                          not on the shop
                        </span>
                      ) : (
                        <span className="text-xs text-ink-2">{url}</span>
                      )}
                    </>
                  )}
                </span>
                <span className="w-16 shrink-0 text-xs text-ink-2">{byWords[by]}</span>
                <span className="w-8 shrink-0">
                  {!isFixed && (
                    <Button
                      look="bare"
                      aria-label={`Delete the forward of ${path}`}
                      onClick={() => drop.mutate(path, { onError: tellRefused })}
                    >
                      <Trash2 size={14} aria-hidden="true" />
                    </Button>
                  )}
                </span>
              </li>
            ))}
          </ul>
        )}
        {data.total > PAGE && (
          <div className="flex items-center justify-center gap-3 border-t border-line p-2 text-ink-2">
            <Button look="bare" disabled={offset === 0} onClick={() => setOffset(Math.max(0, offset - PAGE))}>
              Before
            </Button>
            {count(offset + 1)}–{count(Math.min(data.total, offset + PAGE))}
            <Button look="bare" disabled={offset + PAGE >= data.total} onClick={() => setOffset(offset + PAGE)}>
              Next
            </Button>
          </div>
        )}
      </div>
      {from !== null && <NewForward key={from} from={from} close={() => setFrom(null)} />}
      {brought && <Brought forwards={brought} close={() => setBrought(null)} />}
    </>
  );
}
