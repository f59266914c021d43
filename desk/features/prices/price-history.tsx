import { lazy, Suspense } from 'react';
import { formatMoney } from '../../../core/shared/money';
import { momentWords } from '../../../core/shared/moment';
import { usePriceHistory } from '../../data/offers';

const HistoryChart = lazy(() => import('./history-chart'));

interface Props {
  variantId: string;
  currency: string;
  timeZone: string;
}

/** What a variant cost in the last twelve months, as shoppers were asked: drawn, and as a table. */
export function PriceHistory({ variantId, currency, timeZone }: Props) {
  const { data } = usePriceHistory(variantId);
  if (!data) return null;
  if (data.steps.length === 0) return <p className="mt-3 text-xs text-ink-2">It was not in the shop so far.</p>;
  const money = (amount: number) => formatMoney(amount, currency);
  return (
    <figure className="mt-3" aria-label="What it cost so far">
      <figcaption className="text-xs text-ink-2">
        What it cost so far; dashed: the list price{data.editions.length > 0 && '; numbers: editions that changed it'}
      </figcaption>
      <Suspense fallback={<div className="h-40" />}>
        <HistoryChart history={data} currency={currency} timeZone={timeZone} />
      </Suspense>
      <details className="text-xs">
        <summary className="cursor-pointer text-ink-2">As a table</summary>
        <table className="mt-1 w-full tabular-nums">
          <thead className="text-left text-ink-2">
            <tr>
              <th className="font-normal">From</th>
              <th className="text-right font-normal">Price</th>
              <th className="text-right font-normal">List price</th>
            </tr>
          </thead>
          <tbody>
            {[...data.steps].reverse().map(({ at, price, list }) => (
              <tr key={at} className="border-t border-hair">
                <td className="py-1">{momentWords(at, timeZone)}</td>
                <td className="text-right font-semibold">{money(price)}</td>
                <td className="text-right">{money(list)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  );
}
