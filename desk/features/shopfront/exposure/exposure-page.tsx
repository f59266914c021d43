import { lazy, Suspense, useCallback, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useExposure } from '../../../data/exposure';
import { goodsAddress } from '../../../shared/goods-address';
import { Button } from '../../../shared/ui/button';
import { Select } from '../../../shared/ui/select';
import { shareWords } from '../../../shared/ui/share';
import { Empty, Failed, Loading } from '../../../shared/ui/states';
import { useWindowTaken } from '../../../shared/window-state';
import { corners, goodsOfCorner, middles, type Beside } from './corners';
import { ModelDialog } from './model-dialog';

const Scatter = lazy(() => import('./scatter'));

const SHOWN = 4;
const besideField: Record<Beside, string> = { sold: 'sold90', margin: 'margin' };

/** How often goods are seen beside what they bring: the corners lead to the goods. */
export function ExposurePage() {
  useWindowTaken();
  const { data, error, refetch } = useExposure();
  const [params, setParams] = useSearchParams();
  const beside: Beside = params.get('beside') === 'margin' ? 'margin' : 'sold';
  const [isExplaining, setExplaining] = useState(false);
  const navigate = useNavigate();
  const open = useCallback((id: string) => void navigate(`/goods/${id}#where`), [navigate]);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  if (data.goods.length === 0)
    return (
      <Empty title="Nothing can be seen yet">Put goods on the shop, and this tells how often visits see them.</Empty>
    );
  const { goods, model } = data;
  const { seen, high } = middles(goods, beside);
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col">
      <div className="flex min-h-0 min-w-0 flex-1 flex-col px-4 py-3">
        <div className="flex flex-wrap items-center gap-3">
          <span className="text-ink-2">How often visits see each product, beside</span>
          <Select
            label="Beside"
            value={beside}
            choices={[
              { value: 'sold', label: 'what was sold in 90 days' },
              { value: 'margin', label: 'its margin' },
            ]}
            choose={(value) => setParams({ view: 'exposure', beside: value })}
          />
          <Button look="bare" className="ml-auto" onClick={() => setExplaining(true)}>
            How this is worked out
          </Button>
        </div>
        <div className="sheet mt-3 min-h-0 flex-1 p-2">
          <Suspense fallback={<Loading rows={4} />}>
            <Scatter goods={goods} beside={beside} open={open} />
          </Suspense>
        </div>
      </div>
      <aside
        aria-label="Corners"
        className="flex w-[21rem] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line p-3.5 max-lg:w-full max-lg:border-l-0"
      >
        {corners.map((corner) => {
          const { key, title, advice, isSeen, isHigh } = corner;
          const own = goodsOfCorner(goods, beside, corner);
          const address = goodsAddress(
            { field: 'exposure', is: isSeen ? 'above' : 'atMost', value: seen },
            { field: besideField[beside], is: isHigh ? 'above' : 'atMost', value: high },
            { field: 'status', is: 'anyOf', value: ['live'] },
          );
          return (
            <section key={key} aria-label={title[beside]}>
              <h2 className="font-display text-[15px] font-bold">{title[beside]}</h2>
              <p className="text-xs text-ink-2">{own.length > 0 ? advice[beside] : 'None.'}</p>
              <ul className="mt-1">
                {own.slice(0, SHOWN).map((good) => (
                  <li key={good.id} className="flex justify-between gap-2 border-b border-hair py-1">
                    <Link to={`/goods/${good.id}#where`} className="min-w-0 truncate hover:underline">
                      {good.title}
                    </Link>
                    <span className="shrink-0 tabular-nums text-ink-2">
                      {shareWords(good.share)} ·{' '}
                      {beside === 'sold' ? `${good.sold} sold` : `${Math.round(good.margin! / 100)} %`}
                    </span>
                  </li>
                ))}
              </ul>
              {own.length > 0 && (
                <Link to={address} className="mt-1 inline-block font-semibold text-petrol hover:underline">
                  Show {own.length === 1 ? 'it' : `all ${own.length}`} in Goods
                </Link>
              )}
            </section>
          );
        })}
        <p className="text-xs text-ink-2">
          The lines are the middles: half of the goods are seen by more than {shareWords(seen)} of visits.
        </p>
      </aside>
      {isExplaining && <ModelDialog model={model} close={() => setExplaining(false)} />}
    </div>
  );
}
