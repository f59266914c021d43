import { useCallback, useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Condition } from '../../../core/model/rule';
import { useShopWindow } from '../../shared/window-state';
import { goodsAddress } from '../../shared/goods-address';
import { count } from '../../shared/ui/count';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { GoodsLines } from './goods-lines';
import { GroupTabs } from './group-tabs';
import { OverlapChart } from './overlap-chart';
import { useOverlap } from '../../data/groups';
import { useTitle } from '../../shared/ui/use-title';

/** Collections that one chart can show; those that share most. */
const MOST_DRAWN = 24;

const isIn = (id: string): Condition => ({ field: 'collection', is: 'anyOf', value: [id] });
const inBoth = (a: string, b: string) => goodsAddress(isIn(a), isIn(b));

function Spread({ spread }: { spread: readonly number[] }) {
  const most = Math.max(1, ...spread);
  return (
    <ul className="flex flex-col gap-1">
      {spread.map((goods, collections) => (
        <li key={collections} className="flex items-center gap-2">
          <span className={`w-28 shrink-0 ${collections === 0 ? 'font-semibold text-rose' : ''}`}>
            {collections === 0 ? 'in none' : `in ${collections} ${collections === 1 ? 'collection' : 'collections'}`}
          </span>
          <span className="h-[7px] flex-1 rounded bg-sunk" aria-hidden="true">
            <span
              className={`block h-full rounded ${collections === 0 ? 'bg-rose' : 'bg-petrol'}`}
              style={{ width: `${(goods / most) * 100}%` }}
            />
          </span>
          <span className="w-14 shrink-0 text-right">{count(goods)}</span>
        </li>
      ))}
    </ul>
  );
}

/** Which collections share how much, and which goods are in none or in very many. */
export function OverlapPage() {
  useTitle('Overlap');
  const { data, error, refetch } = useOverlap();
  const navigate = useNavigate();
  useShopWindow('/');
  const drawn = useMemo(() => {
    if (!data) return null;
    const shared = new Map<number, number>();
    for (const pair of data.pairs)
      for (const at of [pair.a, pair.b]) shared.set(at, (shared.get(at) ?? 0) + pair.shared);
    const places = [...shared.keys()]
      .sort((a, b) => shared.get(b)! - shared.get(a)!)
      .slice(0, MOST_DRAWN)
      .sort((a, b) => a - b);
    const at = new Map(places.map((place, i) => [place, i]));
    return {
      ids: places.map((place) => data.collections[place]!.id),
      names: places.map((place) => data.collections[place]!.name),
      counts: places.map((place) => data.collections[place]!.count),
      pairs: data.pairs.flatMap(({ a, b, shared: both }) =>
        at.has(a) && at.has(b) ? [{ a: at.get(a)!, b: at.get(b)!, shared: both }] : [],
      ),
    };
  }, [data]);
  const choose = useCallback(
    (a: number, b: number) => {
      if (drawn) void navigate(inBoth(drawn.ids[a]!, drawn.ids[b]!));
    },
    [drawn, navigate],
  );
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <GroupTabs />
      {!data || !drawn ? (
        <Loading />
      ) : (
        <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-4 pb-6">
          <section className="sheet p-3.5">
            <h2 className="font-display text-[15px] font-bold">
              Shared goods{' '}
              <span className="font-sans text-xs font-normal text-ink-2">
                the darker, the more of the smaller one is in both; click a square to see which
              </span>
            </h2>
            {drawn.pairs.length === 0 ? (
              <Empty title="Nothing is shared">No product is in two collections.</Empty>
            ) : (
              <div className="overflow-x-auto">
                <OverlapChart {...drawn} choose={choose} />
              </div>
            )}
            {data.pairs.length > 0 && (
              <details>
                <summary className="text-ink-2">As a list</summary>
                <ul className="mt-1 flex flex-col gap-0.5">
                  {data.pairs.slice(0, 40).map(({ a, b, shared }) => (
                    <li key={`${a} ${b}`}>
                      <Link
                        to={inBoth(data.collections[a]!.id, data.collections[b]!.id)}
                        className="text-petrol hover:underline"
                      >
                        {data.collections[a]!.name} and {data.collections[b]!.name}: {count(shared)}
                      </Link>
                    </li>
                  ))}
                </ul>
              </details>
            )}
          </section>
          <div className="grid gap-3 xl:grid-cols-2">
            <section className="sheet p-3.5">
              <h2 className="mb-2 font-display text-[15px] font-bold">In how many collections goods are</h2>
              <Spread spread={data.spread} />
            </section>
            <section className="sheet p-3.5">
              <h2 className="font-display text-[15px] font-bold">
                In no collection{' '}
                {data.none.length > 0 ? (
                  <Link
                    to={goodsAddress(
                      { field: 'collection', is: 'empty', value: null },
                      { field: 'status', is: 'anyOf', value: ['live'] },
                    )}
                    className="ml-1 font-sans text-[13px] font-semibold text-petrol hover:underline"
                  >
                    all {count(data.spread[0] ?? 0)} as a list
                  </Link>
                ) : (
                  <span className="font-sans text-xs font-normal text-ink-2">nothing: all are in one</span>
                )}
              </h2>
              <GoodsLines goods={data.none.slice(0, 6)} note={({ brand }) => brand ?? ''} />
              {data.many.some(({ collections }) => collections > 2) && (
                <>
                  <h2 className="mt-3 font-display text-[15px] font-bold">In very many</h2>
                  <GoodsLines
                    goods={data.many.slice(0, 6)}
                    note={({ collections }) => `in ${collections} collections`}
                  />
                </>
              )}
            </section>
          </div>
        </div>
      )}
    </div>
  );
}
