import { formatMoney } from '../../core/shared/money';
import type { BodyProps } from '../parts';
import { contained } from '../ui/contained';

const button = 'rounded-button border border-ink px-5 py-2.5 font-semibold text-ink hover:bg-mist';
const link = 'font-medium text-sea underline underline-offset-4';

/** An order, for whoever placed it: what it is now, and what comes with it. */
export function OrderPage({ page }: BodyProps<'order'>) {
  const { order } = page;
  const money = (amount: number) => formatMoney(amount, order.currency);
  const sums: [words: string, amount: string][] = [
    ['Goods', money(order.goods)],
    ...(order.delivery
      ? [[order.delivery.name, order.delivery.price === 0 ? 'free' : money(order.delivery.price)] as [string, string]]
      : []),
    ...(order.payment.fee > 0 ? [[order.payment.name, money(order.payment.fee)] as [string, string]] : []),
    ...order.taxes
      .filter(({ tax }) => tax > 0)
      .map(({ rate, tax }): [string, string] => [
        `${order.taxIncluded ? 'of which' : 'and'} ${rate / 100} % tax`,
        money(tax),
      ]),
    ['Total', money(order.total)],
    ...order.giftCards.map(({ amount }): [string, string] => ['Paid with a gift card', `−${money(amount)}`]),
    ...(page.refunded > 0 ? [['Paid back', money(page.refunded)] as [string, string]] : []),
  ];
  return (
    <div className={`${contained} max-w-3xl pb-20 pt-8`}>
      {page.isNew && <p className="text-ink-soft">Thank you for your order.</p>}
      <h1 className="font-display text-3xl font-bold text-ink">Order {page.number}</h1>
      <p className="mt-1 text-ink-soft">
        {page.day}, <strong className="font-semibold text-ink">{page.statusWords}</strong>
      </p>
      {page.card && (
        <section aria-label="Payment by card" className="mt-6 rounded-2xl bg-mist p-6">
          <h2 className="font-display text-xl font-bold text-ink">Pay {money(order.due)} by card</h2>
          {page.card.words && (
            <p role="alert" className="mt-2 font-medium text-sale">
              {page.card.words}
            </p>
          )}
          <p className="mt-2 text-sm text-ink-soft">No real card is asked for. Choose what the card does.</p>
          <form method="post" action={page.card.action} className="mt-4 flex flex-wrap gap-3">
            <button
              type="submit"
              name="does"
              value="accept"
              className="rounded-button bg-deep px-5 py-2.5 font-semibold text-white hover:brightness-90"
            >
              It pays
            </button>
            <button type="submit" name="does" value="decline" className={button}>
              It is declined
            </button>
            <button type="submit" name="does" value="wait" className={button}>
              It does not answer
            </button>
          </form>
        </section>
      )}
      {!page.isPaid && !page.card && order.payment.words && (
        <p className="mt-6 rounded-2xl bg-mist p-6 text-ink">
          <strong className="block font-semibold">{order.payment.name}</strong>
          {order.payment.words}
        </p>
      )}
      {page.downloads.length > 0 && (
        <section aria-label="Downloads" className="mt-6">
          <h2 className="font-display text-xl font-bold text-ink">Your downloads</h2>
          <ul className="mt-2 space-y-1">
            {page.downloads.map(({ name, url, left, until }) => (
              <li key={url}>
                <a href={url} download className={link}>
                  {name}
                </a>
                <span className="ml-2 text-sm text-ink-soft">
                  {[left === null ? '' : left === 1 ? 'once more' : `${left} times more`, until && `until ${until}`]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {page.giftCards.length > 0 && (
        <section aria-label="Gift cards" className="mt-6">
          <h2 className="font-display text-xl font-bold text-ink">Gift cards</h2>
          {page.giftCards.map(({ code, worth }) => (
            <p key={code} className="mt-1 text-ink">
              <code className="rounded bg-mist px-2 py-1 font-semibold">{code}</code> {money(worth)}
            </p>
          ))}
        </section>
      )}
      {page.parcels.map(({ day, tracking, lines }, i) => (
        <section key={i} aria-label={`Parcel ${i + 1}`} className="mt-6">
          <h2 className="font-display text-xl font-bold text-ink">Sent on {day}</h2>
          <p className="text-ink">{lines.join(', ')}</p>
          {tracking && <p className="text-sm text-ink-soft">Tracking number {tracking}</p>}
        </section>
      ))}
      <ul className="mt-8 divide-y divide-line border-y border-line">
        {order.lines.map(({ key, quantity, title, variant, parts, total, reductions }) => (
          <li key={key} className="flex justify-between gap-4 py-3">
            <span className="min-w-0 break-words text-ink">
              {quantity} × {title}
              {[variant, ...parts].filter(Boolean).map((words) => (
                <span key={words} className="block text-sm text-ink-soft">
                  {words}
                </span>
              ))}
              {reductions.map(({ name, off }, i) => (
                <span key={i} className="block text-sm text-sale">
                  {name} −{money(off)}
                </span>
              ))}
            </span>
            <span className="tabular-nums text-ink">{money(total)}</span>
          </li>
        ))}
      </ul>
      <dl className="mt-4">
        {sums.map(([words, amount], i) => (
          <div
            key={i}
            className={`flex justify-between gap-4 py-0.5 tabular-nums ${words === 'Total' ? 'text-lg font-semibold text-ink' : 'text-ink-soft'}`}
          >
            <dt>{words}</dt>
            <dd>{amount}</dd>
          </div>
        ))}
      </dl>
      {order.address && (
        <address className="mt-6 not-italic text-ink">
          {order.contact.name}
          <br />
          {order.address.street}
          <br />
          {order.address.more && (
            <>
              {order.address.more}
              <br />
            </>
          )}
          {order.address.postcode} {order.address.city}
          <br />
          {page.country}
        </address>
      )}
      {page.invoice && (
        <p className="mt-6 flex flex-wrap gap-x-5">
          <a href={page.invoice.html} className={link}>
            Invoice
          </a>
          <a href={page.invoice.pdf} className={link}>
            Invoice as PDF
          </a>
        </p>
      )}
    </div>
  );
}
