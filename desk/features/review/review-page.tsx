import { Link, useSearchParams } from 'react-router';
import { useEditionWrites, useReach, useReview, type Review } from '../../data/review';
import { ProposalsWait } from '../../shared/people/proposals-wait';
import { useShopWindow } from '../../shared/window-state';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { addressOf } from '../../shared/thing-addresses';
import { Changes } from './changes';
import { Compare } from './compare';
import { Editions } from './editions';
import { PutLive } from './put-live';
import { Ribbon } from './ribbon';

const percent = (share: number) => `${share < 0.01 && share > 0 ? 'less than 1' : Math.round(share * 100)} %`;

/** How much of the shop the changes touch. */
function Reach({ isWanted }: { isWanted: boolean }) {
  const { data } = useReach(isWanted);
  if (!data || data.goods === 0) return null;
  return (
    <span className="text-ink-2">
      {data.goods} {data.goods === 1 ? 'product' : 'products'}, of which about {percent(data.visits)} of visits see at
      least one
    </span>
  );
}

/** What is worth a look before it goes live, each with the way to mend it, or to leave it out for now. */
function Worries({ worries }: { worries: Review['worries'] }) {
  const { hold } = useEditionWrites();
  return (
    <section aria-labelledby="worries" className="rounded-[10px] bg-rose-soft px-3.5 py-2.5 text-rose-ink">
      <h2 id="worries" className="font-semibold">
        Worth a look first
      </h2>
      <ul>
        {worries.map(({ words, of }) => {
          const to = of && addressOf(of);
          return (
            <li key={words} className="flex flex-wrap items-baseline gap-x-3">
              <span className="min-w-0">{words}</span>
              {of && (
                <span className="flex items-baseline gap-3 text-xs font-semibold">
                  {to && (
                    <Link to={to} aria-label={`Mend ${of.title}`} className="underline">
                      Mend it
                    </Link>
                  )}
                  <button
                    type="button"
                    aria-label={`Hold back ${of.title}`}
                    className="underline"
                    onClick={() => hold.mutate({ changes: [{ kind: of.kind, key: of.key }], held: true })}
                  >
                    Hold it back
                  </button>
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

export function ReviewPage() {
  useTitle('Review');
  const [params] = useSearchParams();
  const { data, error, refetch } = useReview();
  useShopWindow('/');
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  const from = Number(params.get('from'));
  if (from > 0) return <Compare from={from} to={Number(params.get('to')) || data.edition} />;
  return (
    <div className="relative min-h-0 flex-1 overflow-y-auto px-4 pb-6">
      <div className="flex flex-wrap items-center gap-3 py-2.5">
        <h1 className="font-display text-2xl font-bold">What shoppers will notice</h1>
        {data.edition > 0 && <span className="text-ink-2">working copy against edition {data.edition}</span>}
        <Reach isWanted={data.total > 0} />
      </div>
      <ProposalsWait />
      <div className="flex items-start gap-4 max-xl:flex-col">
        <div className="flex min-w-0 flex-1 flex-col gap-3 self-stretch">
          {data.edition > 0 && <Ribbon />}
          {data.total > 0 && <PutLive review={data} />}
          {data.worries.length > 0 && data.total > 0 && <Worries worries={data.worries} />}
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
