import type { BodyProps } from '../parts';
import { contained } from '../ui/contained';
import { basketCalls } from './basket-store';
import { BasketHints, BasketLines, BasketSums, Codes } from './basket-lines';
import { useBasketView } from './use-basket-view';
import { inTongue, say } from '../tongue';

const field = 'w-full rounded-xl border border-line bg-paper px-3 py-2.5 text-ink';

/** The basket as a page of its own: it works without script, and quicker with. */
export function BasketPage({ page }: BodyProps<'basket'>) {
  const { view, problem, take } = useBasketView(page.basket);
  const isEmpty = view.lines.length + view.gone.length === 0;
  const country = view.countries.find(({ chosen }) => chosen);
  return (
    <div className={`${contained} pb-20 pt-8`}>
      <h1 className="font-display text-3xl font-bold text-ink">{say('frame.basket')}</h1>
      {page.problem && !take && (
        <p role="alert" className="mt-4 rounded-xl bg-mist px-4 py-3 font-medium text-sale">
          {page.problem}
        </p>
      )}
      {isEmpty && (
        <>
          <p className="mb-6 mt-4 text-ink-soft">{say('basket.empty')}</p>
          {view.removed && <BasketLines view={view} take={take} />}
          <a
            href={inTongue('/')}
            className="mt-4 inline-block rounded-button bg-deep px-6 py-3 font-semibold text-white"
          >
            {say('basket.toShop')}
          </a>
        </>
      )}
      {!isEmpty && (
        <div className="mt-6 gap-12 lg:grid lg:grid-cols-[1fr_22rem]">
          <div className="min-w-0">
            <BasketLines view={view} take={take} />
            <form
              method="post"
              action={inTongue('/basket/settings')}
              className="mt-6 max-w-lg"
              onSubmit={(event) => {
                if (!take) return;
                event.preventDefault();
                take(basketCalls.change({ note: String(new FormData(event.currentTarget).get('note') ?? '') }));
              }}
              onBlur={({ currentTarget, relatedTarget }) => {
                if (!currentTarget.contains(relatedTarget)) currentTarget.requestSubmit();
              }}
            >
              <label className="block text-sm text-ink-soft">
                {say('basket.note')}
                <textarea name="note" rows={2} maxLength={1_000} defaultValue={view.note} className={`${field} mt-1`} />
              </label>
              {!take && (
                <button type="submit" className="mt-2 text-sm font-medium text-sea underline">
                  {say('basket.keepNote')}
                </button>
              )}
            </form>
            {page.elsewhere && (
              <details className="mt-6 text-sm text-ink-soft">
                <summary className="cursor-pointer">{say('basket.elsewhere')}</summary>
                <p className="mt-2">{say('basket.elsewhereWords')}</p>
                <input
                  readOnly
                  value={page.elsewhere}
                  aria-label={say('basket.address')}
                  className={`${field} mt-2`}
                  onFocus={(event) => event.target.select()}
                />
              </details>
            )}
          </div>
          <aside aria-label={say('basket.sum')} className="mt-8 space-y-5 self-start rounded-2xl bg-mist p-6 lg:mt-0">
            {view.needsDelivery && view.countries.length > 1 && (
              <form
                method="post"
                action={inTongue('/basket/settings')}
                onSubmit={(event) => take && event.preventDefault()}
              >
                <label className="block text-sm text-ink-soft">
                  {say('basket.deliveryTo')}
                  <select
                    key={country?.code}
                    name="country"
                    defaultValue={country?.code}
                    onChange={(event) => take?.(basketCalls.change({ country: event.target.value }))}
                    className={`${field} mt-1`}
                  >
                    {view.countries.map(({ code, name }) => (
                      <option key={code} value={code}>
                        {name}
                      </option>
                    ))}
                  </select>
                </label>
                {!take && (
                  <button type="submit" className="mt-2 text-sm font-medium text-sea underline">
                    {say('basket.changeCountry')}
                  </button>
                )}
              </form>
            )}
            <Codes view={view} take={take} problem={problem} />
            <BasketHints view={view} />
            <div aria-live="polite">
              <BasketSums view={view} />
            </div>
            {view.lines.length > 0 && (
              <a
                href={inTongue('/checkout')}
                className="block rounded-button bg-deep px-6 py-3 text-center font-semibold text-white hover:brightness-90"
              >
                {say('basket.toCheckout')}
              </a>
            )}
          </aside>
        </div>
      )}
    </div>
  );
}
