import type { ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useTitle } from '../../shared/ui/use-title';
import { Backups } from './backups';
import { BringIn } from './bring-in';
import { Channels } from './channels';
import { ImportPage } from './import-page';
import { Keys } from './keys';
import { TakeOut } from './take-out';

/** What exchange is parted into; the first one is shown where none is asked for. */
const parts: readonly { part: string; words: string; draw: () => ReactNode }[] = [
  { part: 'in', words: 'Bring goods in', draw: () => <BringIn /> },
  { part: 'out', words: 'Take goods out', draw: () => <TakeOut /> },
  { part: 'channels', words: 'Channels', draw: () => <Channels /> },
  { part: 'keys', words: 'Keys', draw: () => <Keys /> },
  { part: 'backups', words: 'Backups', draw: () => <Backups /> },
];

/** Goods that come in and go out, and copies of the whole shop. */
export function ExchangePage() {
  const { id } = useParams();
  const [params] = useSearchParams();
  useTitle('Exchange');
  if (id) return <ImportPage key={id} id={id} />;
  const shown = parts.find(({ part }) => part === params.get('part')) ?? parts[0]!;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-display text-2xl font-bold">Exchange</h1>
        <div role="tablist" aria-label="Exchange" className="flex flex-wrap gap-1">
          {parts.map(({ part, words }) => (
            <Link
              key={part}
              role="tab"
              aria-selected={part === shown.part}
              to={part === parts[0]!.part ? '/exchange' : `/exchange?part=${part}`}
              className="rounded-lg px-3 py-1.5 hover:bg-line aria-selected:bg-ink aria-selected:text-sheet"
            >
              {words}
            </Link>
          ))}
        </div>
      </div>
      {shown.draw()}
    </div>
  );
}
