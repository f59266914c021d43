import { useState } from 'react';
import type { BasketView } from '../../core/storefront/basket-shapes';
import { Picture } from '../ui/picture';
import { basketCalls, type BasketAnswer } from './basket-store';
import { inMoney, inTongue, say } from '../tongue';

type Line = BasketView['lines'][number];

interface LinesProps {
  view: BasketView;
  /** takes up what the server answered; absent while there is no script */
  take: ((answer: Promise<BasketAnswer>) => void) | undefined;
  isSmall?: boolean;
}

const quiet = 'text-sm font-medium text-sea underline underline-offset-4 hover:text-ink';

/** A small form that also works without script. */
function Act({
  path,
  fields,
  run,
  children,
}: {
  path: string;
  fields: Readonly<Record<string, string>>;
  run: (() => void) | undefined;
  children: React.ReactNode;
}) {
  return (
    <form
      method="post"
      action={inTongue(path)}
      className="contents"
      onSubmit={(event) => {
        if (!run) return;
        event.preventDefault();
        run();
      }}
    >
      {Object.entries(fields).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
      <button type="submit" className={quiet}>
        {children}
      </button>
    </form>
  );
}

function Quantity({ line, take }: { line: Line; take: LinesProps['take'] }) {
  const [typed, setTyped] = useState<string | null>(null);
  const set = (quantity: number) => {
    setTyped(null);
    if (quantity !== line.quantity && quantity >= 1) take?.(basketCalls.setQuantity(line.key, quantity));
  };
  const most = Math.min(999, line.most ?? 999);
  return (
    <form
      method="post"
      action={inTongue('/basket/change')}
      className="flex items-center gap-2"
      onSubmit={(event) => {
        if (!take) return;
        event.preventDefault();
        set(Number(typed ?? line.quantity));
      }}
    >
      <input type="hidden" name="key" value={line.key} />
      <input
        aria-label={say('basket.quantityOf', { title: line.title })}
        name="quantity"
        type="number"
        min={1}
        max={most}
        value={typed ?? line.quantity}
        onChange={(event) => {
          setTyped(event.target.value);
          // The arrows of the field say a whole number at once; what is typed waits until the field is left.
          if (!(event.nativeEvent as InputEvent).inputType) set(Number(event.target.value));
        }}
        onBlur={() => typed !== null && set(Number(typed))}
        className="w-20 rounded-xl border border-line bg-paper px-2 py-2 text-center tabular-nums text-ink"
      />
      {!take && (
        <button type="submit" className={quiet}>
          {say('basket.change')}
        </button>
      )}
    </form>
  );
}

/** The lines of the basket, with what was taken out and what cannot be had any more. */
export function BasketLines({ view, take, isSmall = false }: LinesProps) {
  const money = (amount: number) => inMoney(amount, view.currency);
  return (
    <>
      {view.removed && (
        <p role="status" className="mb-3 flex flex-wrap gap-x-3 rounded-xl bg-mist px-4 py-3 text-sm text-ink">
          <span>{say('basket.removed', { title: view.removed.title })}</span>
          <Act
            path="/basket/back"
            fields={{ key: view.removed.key }}
            run={take && (() => take(basketCalls.setQuantity(view.removed!.key, view.removed!.quantity)))}
          >
            {say('basket.putBack')}
          </Act>
        </p>
      )}
      <ul className="divide-y divide-line border-y border-line">
        {view.lines.map((line) => (
          <li key={line.key} className="flex gap-4 py-4">
            <a
              href={inTongue(line.url)}
              className={`shrink-0 overflow-hidden rounded-xl ${isSmall ? 'w-16' : 'w-20 sm:w-28'}`}
              tabIndex={-1}
              aria-hidden="true"
            >
              <Picture picture={line.picture && { ...line.picture, alt: '' }} sizes="112px" widest={112} />
            </a>
            <div className="min-w-0 flex-1">
              <div className="flex flex-wrap items-start justify-between gap-x-4">
                <div className="min-w-0">
                  <a href={inTongue(line.url)} className="break-words font-medium text-ink hover:underline">
                    {line.title}
                  </a>
                  {line.variant && <p className="text-sm text-ink-soft">{line.variant}</p>}
                  {line.parts.map((part) => (
                    <p key={part} className="text-sm text-ink-soft">
                      {part}
                    </p>
                  ))}
                  <p className="text-sm tabular-nums text-ink-soft">
                    {say('basket.each', { price: money(line.unit) })}{' '}
                    {line.unit < line.list && (
                      <s>
                        <span className="sr-only">{say('price.was')} </span>
                        {money(line.list)}
                      </s>
                    )}
                  </p>
                  {line.reductions.map(({ name, off }, i) => (
                    <p key={i} className="text-sm tabular-nums text-sale">
                      {name} −{money(off)}
                    </p>
                  ))}
                </div>
                <p className="font-semibold tabular-nums text-ink">{money(line.total)}</p>
              </div>
              {line.notices.map((notice) => (
                <p key={notice} role="status" className="mt-1 text-sm font-medium text-sale">
                  {notice}
                </p>
              ))}
              <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
                <Quantity key={line.quantity} line={line} take={take} />
                <Act
                  path="/basket/remove"
                  fields={{ key: line.key }}
                  run={take && (() => take(basketCalls.setQuantity(line.key, 0)))}
                >
                  {say('basket.remove')}
                  <span className="sr-only"> {line.title}</span>
                </Act>
              </div>
            </div>
          </li>
        ))}
        {view.gone.map(({ key, title, why }) => (
          <li key={key} className="flex flex-wrap items-baseline gap-x-4 py-4">
            <span className="font-medium text-ink-soft line-through">{title}</span>
            <span className="text-sm font-medium text-sale">{why}</span>
            <Act path="/basket/remove" fields={{ key }} run={take && (() => take(basketCalls.setQuantity(key, 0)))}>
              {say('basket.remove')}
              <span className="sr-only"> {title}</span>
            </Act>
          </li>
        ))}
      </ul>
    </>
  );
}

/** What the basket comes to: goods, offers, delivery, gift cards, tax. */
export function BasketSums({ view }: { view: BasketView }) {
  const money = (amount: number) => inMoney(amount, view.currency);
  const gifts = view.offers.filter(({ gift }) => gift !== null);
  const row = (key: string, words: React.ReactNode, amount: React.ReactNode, isStrong = false) => (
    <div
      key={key}
      className={`flex justify-between gap-4 py-1 tabular-nums ${isStrong ? 'text-lg font-semibold text-ink' : 'text-ink-soft'}`}
    >
      <dt>{words}</dt>
      <dd>{amount}</dd>
    </div>
  );
  return (
    <dl>
      {row('goods', say('basket.goods'), money(view.goods))}
      {gifts.map(({ gift, name }) => row(`gift ${name}`, `${name}: ${gift}`, say('basket.aGift')))}
      {view.needsDelivery &&
        row(
          'delivery',
          say('basket.delivery'),
          view.deliveryPrice === null
            ? say('basket.notToCountry')
            : view.deliveryPrice === 0
              ? say('basket.free')
              : money(view.deliveryPrice),
        )}
      {view.fee > 0 && row('fee', say('basket.payment'), money(view.fee))}
      {!view.taxIncluded && view.taxes.map(({ words, tax }) => row(words, words, money(tax)))}
      {row('total', say('basket.total'), money(view.total), true)}
      {view.taxIncluded && view.taxes.map(({ words, tax }) => row(words, say('basket.ofWhich', { words }), money(tax)))}
      {view.giftCards.map(({ code, pays, left }) =>
        row(
          code,
          left > 0 ? say('basket.giftCardLeft', { code, left: money(left) }) : say('basket.giftCard', { code }),
          `−${money(pays)}`,
        ),
      )}
      {view.giftCards.length > 0 && row('due', say('basket.toPay'), money(view.due), true)}
    </dl>
  );
}

/** What is missing for delivery to be free, and for offers that are near. */
export function BasketHints({ view }: { view: BasketView }) {
  const money = (amount: number) => inMoney(amount, view.currency);
  return (
    <ul className="space-y-1 text-sm text-ink-soft">
      {view.missing !== null && <li>{say('basket.freeDeliveryFrom', { missing: money(view.missing) })}</li>}
      {view.hints.map(({ code, words }) => (
        <li key={`${code} ${words}`}>
          {code && <span className="font-semibold text-ink">{code}: </span>}
          {words}
        </li>
      ))}
    </ul>
  );
}

/** The field for codes, and those that were typed. */
export function Codes({ view, take, problem }: LinesProps & { problem?: string }) {
  const [typed, setTyped] = useState('');
  const used = [
    ...view.offers.flatMap(({ code }) => code ?? []),
    ...view.giftCards.map(({ code }) => code),
    ...view.hints.flatMap(({ code }) => code ?? []),
  ];
  return (
    <div>
      <form
        method="post"
        action={inTongue('/basket/code')}
        className="flex gap-2"
        onSubmit={(event) => {
          if (!take) return;
          event.preventDefault();
          // What is typed while the code is looked at stays.
          const taken = () => setTyped((now) => (now === typed ? '' : now));
          take(basketCalls.addCode(typed).then((answer) => ('view' in answer && taken(), answer)));
        }}
      >
        <label className="min-w-0 flex-1">
          <span className="mb-1 block text-sm text-ink-soft">{say('basket.code')}</span>
          <input
            name="code"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            autoComplete="off"
            autoCapitalize="characters"
            aria-invalid={problem ? true : undefined}
            className="w-full min-w-0 rounded-xl border border-line bg-paper px-3 py-2.5 text-ink aria-[invalid=true]:border-sale"
          />
        </label>
        <button
          type="submit"
          className="self-end rounded-button border border-ink px-4 py-2.5 font-semibold text-ink hover:bg-mist"
        >
          {say('basket.use')}
        </button>
      </form>
      {problem && (
        <p role="alert" className="mt-1 text-sm text-sale">
          {problem}
        </p>
      )}
      {used.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-x-4 gap-y-1 text-sm">
          {[...new Set(used)].map((code) => (
            <li key={code} className="flex items-baseline gap-2">
              <span className="font-semibold text-ink">{code}</span>
              <Act path="/basket/drop-code" fields={{ code }} run={take && (() => take(basketCalls.dropCode(code)))}>
                {say('basket.remove')}
                <span className="sr-only"> {say('basket.removeCode', { code })}</span>
              </Act>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
