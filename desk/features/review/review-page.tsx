import { format } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import { useShopWindow } from '../../shared/window-state';
import { Button } from '../../shared/ui/button';
import { useConfirm } from '../../shared/ui/confirm';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { SwingTag } from '../../shared/ui/swing-tag';
import { Changes } from './changes';
import { useEditions, useEditionWrites, useReview } from '../../data/review';
import { useTitle } from '../../shared/ui/use-title';

function Editions({ live }: { live: number }) {
  const { data, error } = useEditions();
  const { goBack } = useEditionWrites();
  const [ask, dialog] = useConfirm();
  if (error) return <Failed error={error} />;
  return (
    <aside aria-label="Editions" className="w-[250px] shrink-0 max-md:w-full">
      <h2 className="mb-2 font-display text-[15px] font-bold">Editions</h2>
      {data?.editions.length === 0 && <p className="text-ink-2">None yet. The first one opens the shop.</p>}
      <ul>
        {(data?.editions ?? []).map((edition) => (
          <li key={edition.number} className="flex gap-2.5 border-t border-line py-2">
            <span className="w-7 font-display font-bold">{edition.number}</span>
            <span className="min-w-0 flex-1">
              <span className="block">{format(new Date(edition.at), 'EEE d MMM HH:mm')}</span>
              <span className="block truncate text-xs text-ink-2" title={edition.label}>
                {[edition.label, edition.userName].filter(Boolean).join(' · ')}
              </span>
            </span>
            {edition.number === live ? (
              <SwingTag look="petrol">Live</SwingTag>
            ) : (
              <button
                type="button"
                className="self-start text-xs font-semibold text-ink-2 hover:text-ink hover:underline"
                onClick={() =>
                  ask({
                    title: `Go back to edition ${edition.number}?`,
                    detail: 'Shoppers see it at once. Your working copy stays as it is, and you can go forward again.',
                    doIt: 'Make it live again',
                    run: () =>
                      goBack.mutate(edition.number, {
                        onSuccess: (made) => void toast(`Edition ${made.number} is live: ${made.label}`),
                      }),
                  })
                }
              >
                Go back to this
              </button>
            )}
          </li>
        ))}
      </ul>
      {dialog}
    </aside>
  );
}

export function ReviewPage() {
  useTitle('Review');
  const { data, error, refetch } = useReview();
  const { putLive } = useEditionWrites();
  const [label, setLabel] = useState('');
  useShopWindow('/');
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  const put = () =>
    putLive.mutate(label, {
      onSuccess: (edition) => {
        setLabel('');
        toast(`Edition ${edition.number} is live`);
      },
    });
  return (
    <div className="relative min-h-0 flex-1 overflow-y-auto px-4 pb-6">
      <div className="flex flex-wrap items-center gap-3 py-2.5">
        <h1 className="font-display text-2xl font-bold">What shoppers will notice</h1>
        {data.edition > 0 && <span className="text-ink-2">working copy against edition {data.edition}</span>}
      </div>
      <div className="flex items-start gap-4 max-xl:flex-col">
        <div className="flex min-w-0 flex-1 flex-col gap-3 self-stretch">
          {data.total > 0 && (
            <form
              className="flex flex-wrap items-center gap-2"
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
              <Button look="live" type="submit" disabled={putLive.isPending}>
                Put {data.total} {data.total === 1 ? 'change' : 'changes'} live
              </Button>
            </form>
          )}
          {data.worries.length > 0 && data.total > 0 && (
            <div className="rounded-[10px] bg-rose-soft px-3.5 py-2.5 text-rose-ink">
              <p className="font-semibold">Worth a look first</p>
              <ul>
                {data.worries.map((worry) => (
                  <li key={worry}>{worry}</li>
                ))}
              </ul>
            </div>
          )}
          {data.total === 0 ? (
            <Empty title="Shoppers see everything you have">Nothing has changed since the live edition.</Empty>
          ) : (
            <Changes changes={data.changes} places={data.places} />
          )}
        </div>
        <Editions live={data.edition} />
      </div>
    </div>
  );
}
