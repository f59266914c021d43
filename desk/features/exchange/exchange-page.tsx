import { Link, useParams, useSearchParams } from 'react-router';
import { useTitle } from '../../shared/ui/use-title';
import { BringIn } from './bring-in';
import { ImportPage } from './import-page';
import { TakeOut } from './take-out';

/** Goods that come in from files, and go out in them. */
export function ExchangePage() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const isOut = params.get('part') === 'out';
  useTitle('Exchange');
  if (id) return <ImportPage key={id} id={id} />;
  const tab = 'rounded-lg px-3 py-1.5 hover:bg-line aria-selected:bg-ink aria-selected:text-sheet';
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-display text-2xl font-bold">Exchange</h1>
        <div role="tablist" aria-label="Exchange" className="flex gap-1">
          <Link role="tab" aria-selected={!isOut} to="/exchange" className={tab}>
            Bring goods in
          </Link>
          <Link role="tab" aria-selected={isOut} to="/exchange?part=out" className={tab}>
            Take goods out
          </Link>
        </div>
      </div>
      {isOut ? <TakeOut /> : <BringIn />}
    </div>
  );
}
