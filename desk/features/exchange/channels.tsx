import { Plus } from 'lucide-react';
import { useSearchParams } from 'react-router';
import { useFeeds, useFeedWrites } from '../../data/elsewhere';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Failed, Loading } from '../../shared/ui/states';
import { FeedSheet } from './feed-sheet';
import { tellRefused } from '../../data/tell-refused';

/** Feeds of the shop's goods, and the channels that fetch them. */
export function Channels() {
  const { data, error } = useFeeds();
  const { add } = useFeedWrites();
  const [params, setParams] = useSearchParams();
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={5} />;
  const open = (feed: string | null) => setParams(feed === null ? { part: 'channels' } : { part: 'channels', feed });
  const make = (name: string, channel: string | null) =>
    add.mutate({ name, channel }, { onSuccess: ({ id }) => open(id), onError: tellRefused });
  const makers = (
    <>
      <Button disabled={add.isPending} onClick={() => make('Feed of all goods', null)}>
        <Plus size={13} aria-hidden="true" /> New feed
      </Button>
      {data.channels.map(({ key, name, about }) => (
        <Button key={key} title={about} disabled={add.isPending} onClick={() => make(name, key)}>
          <Plus size={13} aria-hidden="true" /> For {name}
        </Button>
      ))}
    </>
  );
  const current = data.feeds.find(({ feed }) => feed.id === params.get('feed')) ?? data.feeds[0];
  if (!current)
    return (
      <div className="sheet max-w-2xl p-6">
        <h2 className="font-display text-lg font-bold">Your goods on other markets</h2>
        <p className="mb-4 mt-1 text-ink-2">
          A feed is a list of your goods that another service fetches by itself. You choose the goods, the fields and
          the prices; it is written again with each edition.
        </p>
        <span className="flex flex-wrap gap-2">{makers}</span>
      </div>
    );
  return (
    <>
      <nav aria-label="Feeds" className="mb-3 flex flex-wrap items-center gap-1.5">
        {data.feeds.map(({ feed, goods, channel }) => (
          <button
            key={feed.id}
            type="button"
            aria-current={feed === current.feed ? 'page' : undefined}
            onClick={() => open(feed.id)}
            className="max-w-72 truncate rounded-lg px-2.5 py-1 hover:bg-line aria-[current]:bg-sheet aria-[current]:font-semibold aria-[current]:shadow-sm"
          >
            {feed.name}{' '}
            <span className="text-xs font-normal text-ink-2">
              {channel ? `${count(channel.taken)} taken, ${count(channel.refused)} refused` : count(goods)}
            </span>
          </button>
        ))}
        {makers}
      </nav>
      <FeedSheet key={current.feed.id} row={current} values={data.values} channels={data.channels} open={open} />
    </>
  );
}
