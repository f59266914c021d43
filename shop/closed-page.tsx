import type { ShopData } from './data';
import { ShopSign } from './frame/shop-sign';
import { say } from './tongue';

/** All that a shop which is closed shows: its name, a message, and, where there is one, a way in by password. */
export function ClosedPage({
  shop,
  page,
}: {
  shop: ShopData['shop'];
  page: Extract<ShopData['page'], { kind: 'closed' }>;
}) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-xl flex-col justify-center gap-5 px-6 py-16 text-center">
      <h1 className="break-words font-display text-4xl font-bold tracking-tight text-ink">
        <ShopSign shop={shop} />
      </h1>
      <p className="whitespace-pre-line break-words text-lg leading-relaxed text-ink-soft">
        {page.message || say('closed.message')}
      </p>
      {page.asks && (
        <form method="post" action="/come-in" className="mx-auto flex w-full max-w-sm flex-col gap-2 text-left">
          <label htmlFor="password" className="text-sm text-ink-soft">
            {say('closed.password')}
          </label>
          <div className="flex gap-2">
            <input
              id="password"
              name="password"
              type="password"
              autoComplete="off"
              aria-invalid={page.isWrong}
              aria-describedby={page.isWrong ? 'password-problem' : undefined}
              className="min-w-0 grow rounded-button border border-line bg-paper px-4 py-2.5 text-ink"
            />
            <button type="submit" className="rounded-button bg-deep px-5 py-2.5 font-semibold text-white">
              {say('closed.enter')}
            </button>
          </div>
          {page.isWrong && (
            <p id="password-problem" role="alert" className="text-sm text-sale">
              {say('closed.wrong')}
            </p>
          )}
        </form>
      )}
    </main>
  );
}
