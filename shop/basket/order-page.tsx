import type { BodyProps } from '../parts';
import { contained } from '../ui/contained';
import { inMoney, say } from '../tongue';

const button = 'rounded-button border border-ink px-5 py-2.5 font-semibold text-ink hover:bg-mist';
const link = 'font-medium text-sea underline underline-offset-4';

/** An order, for whoever placed it: what it is now, and what comes with it. */
export function OrderPage({ page }: BodyProps<'order'>) {
  const { order } = page;
  const money = (amount: number) => inMoney(amount, order.currency);
  const sums: [words: string, amount: string][] = [
    [say('basket.goods'), money(order.goods)],
    ...(order.delivery
      ? [
          [order.delivery.name, order.delivery.price === 0 ? say('basket.free') : money(order.delivery.price)] as [
            string,
            string,
          ],
        ]
      : []),
    ...(order.payment.fee > 0 ? [[order.payment.name, money(order.payment.fee)] as [string, string]] : []),
    ...order.taxes
      .filter(({ tax }) => tax > 0)
      .map(({ rate, tax }): [string, string] => [
        say(order.taxIncluded ? 'order.ofWhich' : 'order.and', { rate: rate / 100 }),
        money(tax),
      ]),
    [say('basket.total'), money(order.total)],
    ...order.giftCards.map(({ amount }): [string, string] => [say('order.giftCard'), `−${money(amount)}`]),
    ...(page.refunded > 0 ? [[say('order.paidBack'), money(page.refunded)] as [string, string]] : []),
  ];
  const totalAt = sums.findIndex(([words]) => words === say('basket.total'));
  return (
    <div className={`${contained} max-w-3xl pb-20 pt-8`}>
      {page.isNew && <p className="text-ink-soft">{say('order.thanks')}</p>}
      <h1 className="font-display text-3xl font-bold text-ink">{say('order.name', { number: String(page.number) })}</h1>
      <p className="mt-1 text-ink-soft">
        {page.day}, <strong className="font-semibold text-ink">{page.statusWords}</strong>
      </p>
      {page.card && (
        <section aria-label={say('order.byCard')} className="mt-6 rounded-2xl bg-mist p-6">
          <h2 className="font-display text-xl font-bold text-ink">
            {say('order.payByCard', { sum: money(order.due) })}
          </h2>
          {page.card.words && (
            <p role="alert" className="mt-2 font-medium text-sale">
              {page.card.words}
            </p>
          )}
          <p className="mt-2 text-sm text-ink-soft">{say('order.noRealCard')}</p>
          <form method="post" action={page.card.action} className="mt-4 flex flex-wrap gap-3">
            <button
              type="submit"
              name="does"
              value="accept"
              className="rounded-button bg-deep px-5 py-2.5 font-semibold text-white hover:brightness-90"
            >
              {say('order.pays')}
            </button>
            <button type="submit" name="does" value="decline" className={button}>
              {say('order.declined')}
            </button>
            <button type="submit" name="does" value="wait" className={button}>
              {say('order.silent')}
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
        <section aria-label={say('order.downloads')} className="mt-6">
          <h2 className="font-display text-xl font-bold text-ink">{say('order.yourDownloads')}</h2>
          <ul className="mt-2 space-y-1">
            {page.downloads.map(({ name, url, left, until }) => (
              <li key={url}>
                <a href={url} download className={link}>
                  {name}
                </a>
                <span className="ml-2 text-sm text-ink-soft">
                  {[
                    left === null ? '' : say('order.timesMore', { count: left }),
                    until && say('price.until', { day: until }),
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {page.giftCards.length > 0 && (
        <section aria-label={say('order.giftCards')} className="mt-6">
          <h2 className="font-display text-xl font-bold text-ink">{say('order.giftCards')}</h2>
          {page.giftCards.map(({ code, worth }) => (
            <p key={code} className="mt-1 text-ink">
              <code className="rounded bg-mist px-2 py-1 font-semibold">{code}</code> {money(worth)}
            </p>
          ))}
        </section>
      )}
      {page.parcels.map(({ day, tracking, lines }, i) => (
        <section key={i} aria-label={say('order.parcel', { count: i + 1 })} className="mt-6">
          <h2 className="font-display text-xl font-bold text-ink">{say('order.sentOn', { day })}</h2>
          <p className="text-ink">{lines.join(', ')}</p>
          {tracking && <p className="text-sm text-ink-soft">{say('order.tracking', { number: tracking })}</p>}
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
            className={`flex justify-between gap-4 py-0.5 tabular-nums ${i === totalAt ? 'text-lg font-semibold text-ink' : 'text-ink-soft'}`}
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
            {say('order.invoice')}
          </a>
          <a href={page.invoice.pdf} className={link}>
            {say('order.invoicePdf')}
          </a>
        </p>
      )}
    </div>
  );
}
