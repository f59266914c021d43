import { useState } from 'react';
import { Link } from 'react-router';
import { useVerdicts } from '../../data/elsewhere';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Failed, Loading } from '../../shared/ui/states';

const MORE = 20;

/** What a channel refuses, and why: each with a way to the product. */
export function FeedVerdicts({ id, name, asks }: { id: string; name: string; asks: readonly string[] }) {
  const [limit, setLimit] = useState(MORE);
  const { data, error } = useVerdicts(id, limit);
  return (
    <section aria-label={`What ${name} takes`} className="sheet p-4">
      <h2 className="font-display text-base font-bold">What {name} takes</h2>
      <p className="mb-2 text-xs text-ink-2">It asks for {asks.join('; ')}.</p>
      {error && <Failed error={error} />}
      {!data && !error && <Loading rows={4} />}
      {data && (
        <>
          <p>
            <strong className="text-petrol-ink">{count(data.taken)} taken</strong>,{' '}
            <strong className={data.refused > 0 ? 'text-rose-ink' : ''}>{count(data.refused)} refused</strong>
          </p>
          <ul className="mt-2 divide-y divide-hair">
            {data.refusals.map(({ productId, variantId, title, why }) => (
              <li key={variantId} className="py-1.5">
                <Link to={`/goods/${productId}`} className="break-words font-semibold hover:underline">
                  {title}
                </Link>
                <span className="block text-ink-2">{why.join(' ')}</span>
              </li>
            ))}
          </ul>
          {data.refused > data.refusals.length && limit < 200 && (
            <Button onClick={() => setLimit(Math.min(200, limit + MORE * 2))}>Show more</Button>
          )}
        </>
      )}
    </section>
  );
}
