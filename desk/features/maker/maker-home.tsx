import { format } from 'date-fns';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useMakerOverview, useMakerWrites, type BroughtGoods, type MakerOverview } from '../../data/maker';
import { Button } from '../../shared/ui/button';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { useTitle } from '../../shared/ui/use-title';
import { refusalOf, tellRefused } from '../../data/tell-refused';

const stateWords = {
  waiting: 'waits for an answer',
  taken: 'taken',
  refused: 'not taken',
  withdrawn: 'withdrawn',
} as const;

/** So many are shown at first: what waits, and what was answered last. */
const SHOWN = 5;

function Proposals({ proposals }: { proposals: MakerOverview['proposals'] }) {
  const { withdraw } = useMakerWrites();
  const [isAll, setAll] = useState(false);
  const shown = isAll ? proposals : proposals.filter(({ state }, i) => state === 'waiting' || i < SHOWN);
  return (
    <section aria-labelledby="proposals">
      <h2 id="proposals" className="mb-1.5 font-display text-lg font-bold">
        What you proposed
      </h2>
      <ul className="sheet">
        {shown.map(({ id, title, thumbnail, rows, pictures, state, reply, madeAt }) => (
          <li key={id} className="flex items-center gap-3 border-b border-hair px-3.5 py-2 last:border-0">
            <Thumb src={thumbnail} className="size-8" />
            <span className="min-w-0 flex-1">
              <span className="block truncate font-semibold" title={title}>
                {title}
              </span>
              <span className="block truncate text-[13px] text-ink-2">
                {[
                  ...rows.map(({ label, willWords }) => `${label}: ${willWords || 'nothing'}`),
                  ...(pictures.length > 0
                    ? [`${pictures.length} ${pictures.length === 1 ? 'picture' : 'pictures'}`]
                    : []),
                ].join(' · ')}
              </span>
              {reply && <span className="block break-words">“{reply}”</span>}
            </span>
            <span className="shrink-0 text-right text-xs text-ink-2">
              {stateWords[state]}
              <span className="block">{format(new Date(madeAt), 'd MMM HH:mm')}</span>
            </span>
            {state === 'waiting' && (
              <Button
                look="bare"
                aria-label={`Withdraw ${title}`}
                onClick={() => withdraw.mutate(id, { onError: tellRefused })}
              >
                Withdraw
              </Button>
            )}
          </li>
        ))}
      </ul>
      {shown.length < proposals.length && (
        <Button look="bare" className="mt-1" onClick={() => setAll(true)}>
          Show all {proposals.length}
        </Button>
      )}
    </section>
  );
}

/** What came of a file. */
function Brought({ outcome }: { outcome: BroughtGoods }) {
  const { changed, added, same, refused, ignored } = outcome;
  const some = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;
  return (
    <div role="status" className="rounded-[10px] bg-marigold-soft px-4 py-3">
      <p>
        {some(changed, 'change', 'changes')} and {some(added, 'new product', 'new products')} proposed; {same} as they
        are already.
      </p>
      {ignored.length > 0 && <p>Nothing is taken from these columns: {ignored.join(', ')}.</p>}
      {refused.length > 0 && (
        <ul className="mt-1 list-disc pl-5">
          {refused.slice(0, 20).map(({ row, message }) => (
            <li key={`${row} ${message}`}>
              Row {row}: {message}
            </li>
          ))}
          {refused.length > 20 && <li>and {refused.length - 20} more rows</li>}
        </ul>
      )}
    </div>
  );
}

/** All that somebody who makes goods sees: their goods, and what came of what they proposed. */
export function MakerHome() {
  useTitle('Your goods');
  const { data, error, refetch } = useMakerOverview();
  const { bring } = useMakerWrites();
  const file = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={6} />;
  const { goods, proposals, suppliers } = data;
  const problem = bring.error && refusalOf(bring.error);
  return (
    <div className="mx-auto flex max-w-4xl flex-col gap-5 p-4">
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="min-w-0 flex-1 font-display text-2xl font-bold">
          {suppliers.map(({ name }) => name).join(', ') || 'Your goods'}
        </h1>
        <input
          ref={file}
          type="file"
          aria-label="A file with your goods"
          accept=".csv,.tsv,.txt,.xlsx,.json"
          className="sr-only"
          onChange={({ target }) => {
            const [chosen] = target.files ?? [];
            if (chosen) bring.mutate(chosen);
            target.value = '';
          }}
        />
        <Button disabled={bring.isPending} onClick={() => file.current?.click()}>
          {bring.isPending ? 'Reading …' : 'Propose from a file'}
        </Button>
        <Button look="main" onClick={() => void navigate('/my/new')}>
          Propose a new product
        </Button>
      </div>
      {problem && (
        <p role="alert" className="text-rose-ink">
          {problem}
        </p>
      )}
      {bring.data && <Brought outcome={bring.data} />}
      {proposals.length > 0 && <Proposals proposals={proposals} />}
      {goods.length === 0 ? (
        <div className="sheet">
          <Empty title="None of your goods is in the shop yet">
            Propose a product: with a title, a price and a picture. The shop decides when it stands on the shelf.
          </Empty>
        </div>
      ) : (
        <ul className="sheet" aria-label="Your goods">
          {goods.map(({ id, title, thumbnail, standing, stock, isWaiting }) => (
            <li key={id} className="border-b border-hair last:border-0">
              <Link to={`/my/${id}`} className="flex items-center gap-3 px-3.5 py-2 hover:bg-sunk">
                <Thumb src={thumbnail} className="size-9" />
                <span className="min-w-0 flex-1 truncate font-semibold" title={title}>
                  {title}
                </span>
                {isWaiting && (
                  <span className="shrink-0 rounded bg-marigold-soft px-2 py-0.5 text-xs text-marigold-ink">
                    waits for an answer
                  </span>
                )}
                <span className="w-36 shrink-0 text-right text-[13px] text-ink-2 max-md:w-auto">
                  {[standing, stock === 0 ? 'sold out' : stock !== null && `${stock} left`].filter(Boolean).join(', ')}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
