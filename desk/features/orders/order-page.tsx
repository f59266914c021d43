import { ChevronLeft } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { countryName } from '../../../core/model/countries';
import type { OrderEvent } from '../../../core/model/shop-order';
import { groupedCode } from '../../../core/orders/codes';
import { formatMoney } from '../../../core/shared/money';
import { useOrder, useOrderSteps, type OrderAnswer } from '../../data/orders';
import { Button } from '../../shared/ui/button';
import { TextField } from '../../shared/ui/field';
import { Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { dayWords } from './day-words';
import { OrderActs } from './order-acts';
import { OrderTag } from './status-tag';
import { tellRefused } from '../../data/tell-refused';
import { emptied } from '../../shared/ui/emptied';

function eventWords(event: OrderEvent, { body }: OrderAnswer): string {
  const money = (amount: number) => formatMoney(amount, body.currency);
  const lines = (counts: { key: string; quantity: number }[]) =>
    counts
      .map(({ key, quantity }) => `${quantity} × ${body.lines.find((line) => line.key === key)?.title ?? ''}`)
      .join(', ');
  switch (event.what) {
    case 'placed':
      return 'Ordered';
    case 'paid':
      return event.amount > 0 ? `Paid ${money(event.amount)}: ${event.how}` : `Paid: ${event.how}`;
    case 'declined':
      return event.how;
    case 'sent':
      return `Sent ${lines(event.lines)}${event.tracking ? `, tracking ${event.tracking}` : ''}`;
    case 'refunded':
      return [
        `${money(event.amount)} paid back`,
        event.toGiftCards > 0 ? `${money(event.toGiftCards)} of it onto the gift card` : '',
        lines(event.lines),
        event.restocked && event.lines.length > 0 ? 'back in stock' : '',
        event.reason,
      ]
        .filter(Boolean)
        .join(', ');
    case 'cancelled':
      return `Cancelled${event.reason ? `: ${event.reason}` : ''}`;
    case 'noted':
      return event.text;
  }
}

function Note({ id }: { id: string }) {
  const { note } = useOrderSteps(id);
  const [text, setText] = useState('');
  return (
    <form
      className="mt-2 flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        note.mutate(text, { onSuccess: () => setText(emptied(text)), onError: tellRefused });
      }}
    >
      <div className="min-w-0 flex-1">
        <TextField
          label="A note for yourself"
          hideLabel
          placeholder="A note for yourself"
          value={text}
          onChange={({ target }) => setText(target.value)}
        />
      </div>
      <Button type="submit" disabled={text.trim() === '' || note.isPending}>
        Note it
      </Button>
    </form>
  );
}

/** One order: what was ordered, what happened to it, and what can be done now. */
export function OrderPage({ id }: { id: string }) {
  const { data: order, error, refetch } = useOrder(id);
  useTitle(order ? `Order ${order.number}` : 'Order');
  if (error && !order) return <Failed error={error} retry={() => void refetch()} />;
  if (!order) return <Loading rows={6} />;
  const { body } = order;
  const money = (amount: number) => formatMoney(amount, body.currency);
  const sums: [string, string][] = [
    ['Goods', money(body.goods)],
    ...(body.delivery
      ? [[body.delivery.name, body.delivery.price === 0 ? 'free' : money(body.delivery.price)] as [string, string]]
      : []),
    ...(body.payment.fee > 0 ? [[body.payment.name, money(body.payment.fee)] as [string, string]] : []),
    ...body.taxes
      .filter(({ tax }) => tax > 0)
      .map(({ rate, tax }): [string, string] => [
        `${body.taxIncluded ? 'of which' : 'and'} ${rate / 100} % tax`,
        money(tax),
      ]),
    ['Total', money(body.total)],
    ...body.giftCards.map(({ code, amount }): [string, string] => [
      `Gift card ${groupedCode(code)}`,
      `−${money(amount)}`,
    ]),
  ];
  return (
    <div className="max-w-5xl">
      <Link to="/orders" className="inline-flex items-center gap-1 text-ink-2 hover:text-ink">
        <ChevronLeft size={14} aria-hidden="true" /> All orders
      </Link>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <h2 className="font-display text-xl font-bold">Order {order.number}</h2>
        <OrderTag status={order.status} isPartRefunded={order.isPartRefunded} />
        <span className="text-ink-2">{dayWords(order.at)}</span>
        <span className="ml-auto">
          <OrderActs order={order} />
        </span>
      </div>
      <div className="mt-3 grid items-start gap-4 md:grid-cols-[minmax(0,1fr)_18rem]">
        <section aria-label="What was ordered" className="sheet p-4">
          <ul className="divide-y divide-hair">
            {body.lines.map((line) => (
              <li key={line.key} className="flex justify-between gap-4 py-2">
                <span className="min-w-0 break-words">
                  {line.quantity} ×{' '}
                  <Link to={`/goods/${line.productId}`} className="font-semibold hover:underline">
                    {line.title}
                  </Link>
                  {[line.variant, line.sku, ...line.parts].filter(Boolean).map((words) => (
                    <span key={words} className="block text-xs text-ink-2">
                      {words}
                    </span>
                  ))}
                  {line.reductions.map(({ name, off }, i) => (
                    <span key={i} className="block text-xs text-rose-ink">
                      {name} −{money(off)}
                    </span>
                  ))}
                </span>
                <span className="text-right tabular-nums">
                  {money(line.total)}
                  {(order.unsent[line.key] ?? 0) > 0 && (
                    <span className="block text-xs text-ink-2">{order.unsent[line.key]} to send</span>
                  )}
                </span>
              </li>
            ))}
          </ul>
          <dl className="mt-2 border-t border-line pt-2">
            {sums.map(([words, amount], i) => (
              <div
                key={i}
                className={`flex justify-between gap-4 py-0.5 tabular-nums ${words === 'Total' ? 'font-semibold' : 'text-ink-2'}`}
              >
                <dt>{words}</dt>
                <dd>{amount}</dd>
              </div>
            ))}
          </dl>
          {order.downloads.length > 0 && (
            <p className="mt-3 text-xs text-ink-2">
              {order.downloads
                .map(
                  ({ name, fetched, most }) => `${name}: fetched ${fetched}${most === null ? '' : ` of ${most}`} times`,
                )
                .join(' · ')}
            </p>
          )}
          {order.giftCards.length > 0 && (
            <p className="mt-3 text-xs text-ink-2">
              {order.giftCards
                .map(
                  ({ code, left, worth, isOff }) =>
                    `${groupedCode(code)}: ${isOff ? 'switched off' : `${money(left)} of ${money(worth)} left`}`,
                )
                .join(' · ')}
            </p>
          )}
        </section>
        <div className="flex flex-col gap-4">
          <section aria-label="Shopper" className="sheet p-4">
            <p className="font-semibold">{body.contact.name}</p>
            <p className="break-all">{body.contact.email}</p>
            {body.contact.phone && <p>{body.contact.phone}</p>}
            {body.address && (
              <address className="mt-2 not-italic text-ink-2">
                {[
                  body.address.street,
                  body.address.more,
                  `${body.address.postcode} ${body.address.city}`,
                  countryName(body.address.country, 'en'),
                ]
                  .filter(Boolean)
                  .map((line) => (
                    <span key={line} className="block">
                      {line}
                    </span>
                  ))}
              </address>
            )}
            <p className="mt-2 text-ink-2">{body.payment.name}</p>
            {body.note && <p className="mt-2 rounded-lg bg-marigold-soft px-2.5 py-1.5">“{body.note}”</p>}
            <p className="mt-3 flex gap-3 text-petrol">
              <a href={order.url} target="_blank" rel="noreferrer" className="font-semibold hover:underline">
                As the shopper sees it
              </a>
              {order.isPaid && (
                <a
                  href={`${order.url}/invoice.pdf`}
                  target="_blank"
                  rel="noreferrer"
                  className="font-semibold hover:underline"
                >
                  Invoice
                </a>
              )}
            </p>
          </section>
          <section aria-labelledby="happened" className="sheet p-4">
            <h3 id="happened" className="font-display text-[15px] font-bold">
              What happened
            </h3>
            <ol className="mt-1">
              {order.events.map(({ id: at, at: moment, by, event }) => (
                <li key={at} className="border-t border-hair py-1.5 first:border-0">
                  {eventWords(event, order)}
                  <span className="block text-xs text-ink-2">
                    {dayWords(moment)}
                    {by && `, ${by}`}
                  </span>
                </li>
              ))}
            </ol>
            <Note id={order.id} />
          </section>
        </div>
      </div>
    </div>
  );
}
