import { lazy, Suspense } from 'react';
import { formatMoney } from '../../../core/shared/money';
import type { OfferPreview } from '../../data/offers';

const PastChart = lazy(() => import('./past-chart'));

type Past = NonNullable<OfferPreview['past']>;

/** What the orders of the last year had earned under an offer. */
export function OfferPast({ past, currency }: { past: Past; currency: string }) {
  const money = (amount: number) => formatMoney(amount, currency);
  const lost = past.revenueBefore - past.revenueAfter;
  const margin = past.marginBefore !== null && past.marginAfter !== null ? past.marginBefore - past.marginAfter : null;
  return (
    <section
      aria-label="Last year’s orders under it"
      className="mt-4 flex flex-wrap items-start gap-x-10 gap-y-3 border-t border-hair pt-3"
    >
      <div>
        <p className="text-ink-2">Last year’s orders under it</p>
        <p className="font-display text-xl font-bold">
          {margin === null ? `−${money(lost)}` : `−${money(margin)}`}{' '}
          <span className="font-sans text-xs font-semibold text-ink-2">
            of {margin === null ? `${money(past.revenueBefore)} revenue` : `${money(past.marginBefore!)} margin`},{' '}
            {past.touched} of {past.orders} orders
          </span>
        </p>
      </div>
      {past.needed !== null && past.needed > 0 && (
        <div>
          <p className="text-ink-2">To earn the same</p>
          <p className="font-display text-xl font-bold">
            +{past.needed} orders{' '}
            <span className="font-sans text-xs font-semibold text-ink-2">like those of last year</span>
          </p>
        </div>
      )}
      {past.touched > 0 && (
        <Suspense>
          <div className="w-full max-w-md">
            <p className="text-ink-2">What comes off the goods of an order</p>
            <PastChart distribution={past.distribution} />
            <table className="sr-only">
              <caption>Orders by what comes off their goods</caption>
              <tbody>
                {past.distribution.map((orders, i) => (
                  <tr key={i}>
                    <th>
                      {i * 5} to {i * 5 + 5} %
                    </th>
                    <td>{orders}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Suspense>
      )}
    </section>
  );
}
