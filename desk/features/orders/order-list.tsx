import { Link, useSearchParams } from 'react-router';
import { orderStatuses } from '../../../core/model/shop-order';
import { statusWords } from '../../../core/orders/order-state';
import { formatMoney } from '../../../core/shared/money';
import { useOrders } from '../../data/orders';
import { Pressed } from '../../shared/ui/pressed';
import { Button } from '../../shared/ui/button';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { dayWords } from './day-words';
import { OrderTag } from './status-tag';

/** Orders, the last first, by status and by what is searched. */
export function OrderList() {
  const [params, setParams] = useSearchParams();
  const [status, q, page] = ['status', 'q', 'page'].map((name) => params.get(name) ?? '') as [string, string, string];
  const { data, error, refetch } = useOrders({ status, q, page });
  const set = (over: Record<string, string>) =>
    setParams(
      (before) => {
        for (const [name, value] of Object.entries({ page: '', ...over }))
          if (value) before.set(name, value);
          else before.delete(name);
        return before;
      },
      { replace: 'q' in over },
    );
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={8} />;
  const number = Number(page || 1);
  const pages = Math.ceil(data.count / data.pageSize);
  const all = Object.values(data.counts).reduce((sum, count) => sum + count, 0);
  if (all === 0)
    return (
      <Empty title="No orders yet">
        When somebody orders, it stands here. Payment and sending are simulated: try it yourself in the shop.
      </Empty>
    );
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-1.5">
        <input
          type="search"
          aria-label="Search the orders"
          placeholder="Number, name, mail, goods"
          value={q}
          onChange={(event) => set({ q: event.target.value })}
          className="field !w-60"
        />
        {[
          ['', 'all', all] as const,
          ...orderStatuses.flatMap((each) =>
            data.counts[each] ? [[each, statusWords[each], data.counts[each]] as const] : [],
          ),
        ].map(([key, words, count]) => (
          <Pressed key={key} isOn={status === key} choose={() => set({ status: key })}>
            {words} <span className="tabular-nums">{count}</span>
          </Pressed>
        ))}
      </div>
      {data.orders.length === 0 ? (
        <Empty
          title="No order matches"
          action={<Button onClick={() => set({ q: '', status: '' })}>Show all orders</Button>}
        />
      ) : (
        <div className="sheet overflow-x-auto">
          <table className="w-full">
            <caption className="sr-only">Orders</caption>
            <thead>
              <tr className="text-left text-xs text-ink-2">
                {['Number', 'Day', 'Shopper', 'Goods', 'Total', ''].map((words) => (
                  <th key={words} className="px-3 py-2 font-semibold">
                    {words || <span className="sr-only">Status</span>}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {data.orders.map((order) => (
                <tr key={order.id} className="relative h-[46px] border-t border-hair hover:bg-paper">
                  <td className="px-3 font-semibold tabular-nums">
                    <Link to={`/orders/${order.id}`} className="after:absolute after:inset-0">
                      {order.number}
                    </Link>
                  </td>
                  <td className="whitespace-nowrap px-3 text-ink-2">{dayWords(order.at)}</td>
                  <td className="max-w-48 truncate px-3">{order.name}</td>
                  <td className="max-w-72 truncate px-3 text-ink-2">
                    {order.pieces} × {order.goods}
                  </td>
                  <td className="whitespace-nowrap px-3 text-right tabular-nums">
                    {formatMoney(order.total, order.currency)}
                  </td>
                  <td className="px-3 text-right">
                    <OrderTag status={order.status} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {pages > 1 && (
        <p className="mt-3 flex items-center gap-2">
          <Button disabled={number <= 1} onClick={() => set({ page: String(number - 1) })}>
            Later
          </Button>
          <span className="tabular-nums">
            {number} of {pages}
          </span>
          <Button disabled={number >= pages} onClick={() => set({ page: String(number + 1) })}>
            Earlier
          </Button>
        </p>
      )}
    </>
  );
}
