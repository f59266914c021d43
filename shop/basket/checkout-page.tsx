import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { CheckoutPageData } from '../../core/storefront/selling-pages';
import type { ShopData } from '../data';
import type { BodyProps } from '../parts';
import { contained } from '../ui/contained';
import { useReady } from '../ui/use-ready';
import { BasketHints, BasketSums } from './basket-lines';
import { inMoney, inTongue, say } from '../tongue';

const input =
  'mt-1 w-full min-w-0 rounded-xl border border-line bg-paper px-3 py-2.5 text-ink aria-[invalid=true]:border-sale';

const addressFields = ['street', 'more', 'postcode', 'city'] as const;

interface FieldProps {
  page: CheckoutPageData;
  name: string;
  label: string;
  type?: string;
  autoComplete: string;
  isOptional?: boolean;
  className?: string;
}

function Field({ page, name, label, type = 'text', autoComplete, isOptional, className = '' }: FieldProps) {
  const problem = page.problems[name];
  return (
    <p className={`min-w-0 ${className}`}>
      <label className="block text-sm text-ink-soft" htmlFor={`checkout-${name}`}>
        {isOptional ? say('checkout.optional', { label }) : label}
      </label>
      <input
        id={`checkout-${name}`}
        name={name}
        type={type}
        autoComplete={autoComplete}
        defaultValue={page.values[name]}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `checkout-${name}-problem` : undefined}
        className={input}
      />
      <Problem page={page} name={name} />
    </p>
  );
}

const Problem = ({ page, name }: Pick<FieldProps, 'page' | 'name'>) =>
  page.problems[name] ? (
    <span id={`checkout-${name}-problem`} role="alert" className="mt-1 block text-sm text-sale">
      {page.problems[name]}
    </span>
  ) : null;

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <fieldset className="border-t border-line py-6">
    <legend className="float-left w-full pb-3 font-display text-xl font-bold text-ink">{title}</legend>
    <div className="clear-both">{children}</div>
  </fieldset>
);

function Choice({
  name,
  id,
  chosen,
  title,
  words,
  price,
  disabled,
  onPick,
}: {
  name: string;
  id: string;
  chosen: boolean;
  title: string;
  words: string;
  price: string;
  disabled?: boolean;
  onPick?: () => void;
}) {
  return (
    <label
      className={`flex cursor-pointer items-baseline gap-3 rounded-xl border border-line p-4 has-checked:border-ink has-checked:ring-1 has-checked:ring-ink ${disabled ? 'opacity-60' : ''}`}
    >
      <input
        type="radio"
        name={name}
        value={id}
        defaultChecked={chosen}
        disabled={disabled}
        onChange={onPick}
        className="accent-current"
      />
      <span className="min-w-0 flex-1">
        <span className="block font-medium text-ink">{title}</span>
        {words && <span className="block text-sm text-ink-soft">{words}</span>}
      </span>
      <span className="tabular-nums text-ink">{price}</span>
    </label>
  );
}

/** All of the checkout on one page. Prices follow the choices; what is typed is never lost. */
export function CheckoutPage({ page: initial }: BodyProps<'checkout'>) {
  const [page, setPage] = useState(initial);
  const [isSending, setSending] = useState(false);
  const isReady = useReady();
  const form = useRef<HTMLFormElement>(null);
  const { basket } = page;
  const money = (amount: number) => inMoney(amount, basket.currency);
  const asked = useRef(0);
  // Back brings the page as it was left: it can be sent again.
  useEffect(() => {
    const again = () => setSending(false);
    window.addEventListener('pageshow', again);
    return () => window.removeEventListener('pageshow', again);
  }, []);
  /** Another choice may cost something else: what is typed goes along, and comes back. */
  const look = () => {
    if (!form.current) return;
    const body = new URLSearchParams([...new FormData(form.current)].map(([name, value]) => [name, String(value)]));
    body.set('act', 'look');
    const mine = ++asked.current;
    void fetch(inTongue('/checkout'), { method: 'POST', headers: { Accept: 'application/json' }, body })
      .then((answer) => answer.json() as Promise<ShopData>)
      .then((data) => {
        if (mine === asked.current && data.page.kind === 'checkout') setPage({ ...data.page, problems: {} });
      })
      .catch(() => undefined);
  };
  return (
    <div className={`${contained} pb-20 pt-8`}>
      <h1 className="font-display text-3xl font-bold text-ink">{say('basket.checkout')}</h1>
      {page.problems[''] && (
        <p role="alert" className="mt-4 rounded-xl bg-mist px-4 py-3 font-medium text-sale">
          {page.problems['']}
        </p>
      )}
      {Object.keys(page.problems).some((name) => name !== '') && (
        <p role="alert" className="mt-4 font-medium text-sale">
          {say('checkout.missing')}
        </p>
      )}
      <form
        ref={form}
        method="post"
        action={inTongue('/checkout')}
        noValidate
        className="mt-6 gap-12 lg:grid lg:grid-cols-[1fr_22rem]"
        onSubmit={(event) => {
          // A second click while the first is under way orders nothing more.
          if (isSending) event.preventDefault();
          setSending(true);
        }}
      >
        <input type="hidden" name="attempt" value={page.attempt} />
        <input type="hidden" name="seen" value={page.seen} />
        <div className="min-w-0">
          <Part title={say('checkout.contact')}>
            <div className="grid gap-4 sm:grid-cols-2">
              <Field page={page} name="email" label={say('checkout.mail')} type="email" autoComplete="email" />
              <Field page={page} name="phone" label={say('checkout.phone')} type="tel" autoComplete="tel" isOptional />
              <Field
                page={page}
                name="name"
                label={say('checkout.name')}
                autoComplete="name"
                className="sm:col-span-2"
              />
            </div>
          </Part>
          {basket.needsDelivery && (
            <Part title={say('basket.delivery')}>
              {basket.countries.length > 1 && (
                <p className="mb-4">
                  <label className="block text-sm text-ink-soft" htmlFor="checkout-country">
                    {say('checkout.country')}
                  </label>
                  <select
                    id="checkout-country"
                    name="country"
                    autoComplete="country"
                    defaultValue={page.values.country}
                    onChange={look}
                    className={input}
                  >
                    {basket.countries.map(({ code, name }) => (
                      <option key={code} value={code}>
                        {name}
                      </option>
                    ))}
                  </select>
                </p>
              )}
              {basket.countries.length === 1 && (
                <input type="hidden" name="country" value={basket.countries[0]!.code} />
              )}
              <div className="grid gap-2">
                {basket.delivery.map(({ id, name, words, price, why, chosen }) => (
                  <Choice
                    key={id}
                    name="deliveryId"
                    id={id}
                    chosen={chosen}
                    title={name}
                    words={why ?? words}
                    disabled={price === null}
                    price={price === null ? '' : price === 0 ? say('basket.free') : money(price)}
                    onPick={look}
                  />
                ))}
              </div>
              <Problem page={page} name="deliveryId" />
              {!page.needsAddress &&
                // What was typed goes along, and is there again when another way is chosen.
                addressFields.map((name) => (
                  <input key={name} type="hidden" name={name} value={page.values[name] ?? ''} />
                ))}
              {page.needsAddress && (
                <div className="mt-4 grid gap-4 sm:grid-cols-[10rem_1fr]">
                  <Field
                    page={page}
                    name="street"
                    label={say('checkout.street')}
                    autoComplete="address-line1"
                    className="sm:col-span-2"
                  />
                  <Field
                    page={page}
                    name="more"
                    label={say('checkout.more')}
                    autoComplete="address-line2"
                    isOptional
                    className="sm:col-span-2"
                  />
                  <Field page={page} name="postcode" label={say('checkout.postcode')} autoComplete="postal-code" />
                  <Field page={page} name="city" label={say('checkout.city')} autoComplete="address-level2" />
                </div>
              )}
            </Part>
          )}
          {basket.due > 0 && (
            <Part title={say('basket.payment')}>
              <div className="grid gap-2">
                {page.payments.map(({ id, name, words, fee, chosen }) => (
                  <Choice
                    key={id}
                    name="paymentId"
                    id={id}
                    chosen={chosen}
                    title={name}
                    words={words}
                    price={fee > 0 ? `+${money(fee)}` : ''}
                    onPick={look}
                  />
                ))}
              </div>
              <Problem page={page} name="paymentId" />
            </Part>
          )}
          <Part title={say('checkout.anythingElse')}>
            <label className="block text-sm text-ink-soft">
              {say('checkout.note')}
              <textarea name="note" rows={2} maxLength={1_000} defaultValue={page.values.note} className={input} />
            </label>
            {page.terms && (
              <p className="mt-4">
                <label className="flex items-baseline gap-2 text-ink">
                  <input
                    type="checkbox"
                    name="agrees"
                    value="yes"
                    defaultChecked={(page.values.agrees ?? '') !== ''}
                    aria-invalid={page.problems.agrees !== undefined}
                  />
                  {page.terms}
                </label>
                <Problem page={page} name="agrees" />
              </p>
            )}
          </Part>
        </div>
        <aside
          aria-label={say('checkout.yourOrder')}
          className="mt-8 space-y-4 self-start rounded-2xl bg-mist p-6 lg:sticky lg:top-6 lg:mt-0"
        >
          <ul className="space-y-2 text-sm">
            {basket.lines.map(({ key, quantity, title, variant, total }) => (
              <li key={key} className="flex justify-between gap-4">
                <span className="min-w-0 break-words text-ink">
                  {quantity} × {title}
                  {variant && <span className="block text-ink-soft">{variant}</span>}
                </span>
                <span className="tabular-nums text-ink">{money(total)}</span>
              </li>
            ))}
          </ul>
          <div aria-live="polite">
            <BasketSums view={basket} />
          </div>
          <BasketHints view={basket} />
          {!isReady && (
            <button
              type="submit"
              name="act"
              value="look"
              className="w-full rounded-button border border-ink px-6 py-2.5 font-semibold text-ink"
            >
              {say('checkout.again')}
            </button>
          )}
          {basket.lines.length > 0 && (
            <button
              type="submit"
              aria-disabled={isSending}
              className="w-full rounded-button bg-deep px-6 py-3 font-semibold text-white hover:brightness-90 aria-disabled:opacity-60"
            >
              {isSending
                ? say('frame.oneMoment')
                : basket.due > 0
                  ? say('checkout.orderAndPay')
                  : say('checkout.order')}
            </button>
          )}
          <p className="text-xs text-ink-soft">{say('checkout.trial')}</p>
          <a href={inTongue('/basket')} className="block text-center text-sm font-medium text-sea underline">
            {say('checkout.back')}
          </a>
        </aside>
      </form>
    </div>
  );
}
