import { Link } from 'react-router';
import { useProductChannels } from '../../../data/elsewhere';

/** What other markets make of a product; nothing where none is told of it. */
export function ProductChannels({ id }: { id: string }) {
  const { data } = useProductChannels(id);
  if (!data || data.channels.length === 0) return null;
  return (
    <section aria-label="On other markets" className="mt-4">
      <h3 className="font-semibold">On other markets</h3>
      <ul>
        {data.channels.map(({ feedId, name, entries, why }) => (
          <li key={feedId} className="py-1">
            <Link to={`/exchange?part=channels&feed=${feedId}`} className="font-medium hover:underline">
              {name}
            </Link>{' '}
            {entries === 0 ? (
              <span className="text-ink-2">is not told of it: it is sold out, or its price is told on request</span>
            ) : why.length === 0 ? (
              <span className="text-petrol-ink">takes it</span>
            ) : (
              <span className="text-rose-ink">refuses it. {why.join(' ')}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
