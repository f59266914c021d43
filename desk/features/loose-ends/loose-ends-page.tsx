import clsx from 'clsx';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { useLooseEnds, useLooseWrites, type LooseCheck, type LooseEndRow } from '../../data/loose-ends';
import { addressOf, kindWords } from '../../shared/thing-addresses';
import { tray } from '../../shared/tray-store';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { useTitle } from '../../shared/ui/use-title';
import { useShopWindow } from '../../shared/window-state';
import { PutAside } from './put-aside';
import { tellRefused } from '../../data/tell-refused';

/** Where something is mended that is no thing of the catalog. */
const beside: Partial<Record<LooseEndRow['kind'], (key: string) => string>> = {
  backup: () => '/exchange?part=backups',
  plan: () => '/review',
  wording: (locale) => `/words/${locale}`,
};

/** Where all of one sort are mended, whatever they are on. */
const together: Readonly<Record<string, string>> = { engineConflict: '/words?part=engines' };

const mendAt = (check: string, { kind, key }: LooseEndRow): string | undefined =>
  together[check] ??
  beside[kind]?.(key) ??
  (kind === 'backup' || kind === 'plan' ? undefined : addressOf({ kind, key }));

const kindOf = ({ kind }: LooseEndRow): string | null =>
  kind === 'product' || kind === 'backup' || kind === 'plan' ? null : kindWords[kind];

const share = (of: number) =>
  of <= 0 ? 'nobody sees it' : of < 0.01 ? 'under 1 % of visits' : `${Math.round(of * 100)} % of visits`;

function Row({ check, end, put }: { check: string; end: LooseEndRow; put: () => void }) {
  const { takeUp } = useLooseWrites();
  const to = mendAt(check, end);
  const kind = kindOf(end);
  return (
    <li
      className={clsx(
        'flex items-center gap-3 border-b border-hair px-3.5 py-2 last:border-0',
        end.aside && 'text-ink-2',
      )}
    >
      {end.kind === 'product' && <Thumb src={end.thumbnail} className="size-8" />}
      <span className="min-w-0 flex-1">
        <span className="block truncate font-semibold" title={end.title}>
          {end.title}
          {kind && <span className="ml-2 text-xs font-normal text-ink-2">{kind}</span>}
        </span>
        <span className="block break-words text-[13px] text-ink-2">
          {[
            end.words,
            end.aside && `put aside: ${end.aside.reason}${end.aside.until ? `, until ${end.aside.until}` : ''}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </span>
      <span className="w-32 shrink-0 text-right text-xs text-ink-2 max-md:hidden">
        {end.kind === 'product' && share(end.share)}
      </span>
      <span className="flex shrink-0 items-center gap-1">
        {to && (
          <Link
            to={to}
            aria-label={`Mend ${end.title}`}
            className="rounded-lg border border-line bg-sheet px-3 py-1 font-semibold hover:border-ink-3"
          >
            Mend
          </Link>
        )}
        {end.aside ? (
          <Button
            look="bare"
            aria-label={`Take up ${end.title} again`}
            onClick={() => takeUp.mutate({ check, kind: end.kind, key: end.key }, { onError: tellRefused })}
          >
            Take up again
          </Button>
        ) : (
          <Button look="bare" aria-label={`Put ${end.title} aside`} onClick={put}>
            Put aside
          </Button>
        )}
      </span>
    </li>
  );
}

/** One sort of loose end: why it matters, and each of them with the way to mend it. */
function One({ check }: { check: LooseCheck }) {
  const [aside, setAside] = useState<LooseEndRow | null>(null);
  const { productIds } = check;
  return (
    <section aria-labelledby="loose-check" className="min-w-0 flex-1">
      <div className="mb-3 flex flex-wrap items-start gap-3">
        <span className="min-w-0 flex-1">
          <h2 id="loose-check" className="font-display text-lg font-bold">
            {check.label}
          </h2>
          <p className="max-w-prose text-ink-2">{check.about}</p>
        </span>
        {productIds.length > 1 && (
          <Button
            title="To change all of them at once, with a preview of each"
            onClick={() => {
              tray.add(productIds);
              toast(`${count(productIds.length)} products are in the tray: change them all there`);
            }}
          >
            All into the tray
          </Button>
        )}
      </div>
      <ul className="sheet">
        {check.ends.map((end) => (
          <Row key={`${end.kind} ${end.key} ${end.words}`} check={check.key} end={end} put={() => setAside(end)} />
        ))}
      </ul>
      {check.count + check.aside > check.ends.length && (
        <p className="mt-2 text-ink-2">
          The weightiest of {count(check.count + check.aside)} are shown. Mend some, and the next ones come.
        </p>
      )}
      {aside && <PutAside check={check.key} end={aside} close={() => setAside(null)} />}
    </section>
  );
}

/** All that is unfinished or odd, by how much it harms and how often it is met. */
export function LooseEndsPage() {
  useTitle('Loose ends');
  useShopWindow('/');
  const [params, setParams] = useSearchParams();
  const { data, error, refetch } = useLooseEnds();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={8} />;
  const wanted = params.get('check');
  const chosen = wanted === null ? data.checks[0] : data.checks.find(({ key }) => key === wanted);
  const heaviest = Math.max(...data.checks.map(({ weight }) => weight), 0.001);
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
      <div className="flex flex-wrap items-baseline gap-3 py-2.5">
        <h1 className="font-display text-2xl font-bold">Loose ends</h1>
        <span className="text-ink-2">
          {data.total === 0 ? 'nothing is open' : `${count(data.total)} open, the weightiest first`}
        </span>
      </div>
      {data.checks.length === 0 ? (
        <Empty title="Nothing is loose">Whatever is unfinished or odd will be listed here.</Empty>
      ) : (
        <div className="flex items-start gap-5 max-lg:flex-col">
          <nav aria-label="Sorts of loose ends" className="w-72 shrink-0 max-lg:w-full">
            <ul className="sheet p-1.5">
              {data.checks.map((check) => (
                <li key={check.key}>
                  <button
                    type="button"
                    aria-current={check === chosen}
                    onClick={() => setParams({ check: check.key }, { replace: true })}
                    className="flex w-full flex-col gap-1 rounded-lg px-2.5 py-1.5 text-left hover:bg-sunk aria-[current=true]:bg-slate aria-[current=true]:text-sheet"
                  >
                    <span className="flex w-full items-baseline gap-2">
                      <span className={clsx('min-w-0 flex-1 truncate', check.count > 0 && 'font-semibold')}>
                        {check.label}
                      </span>
                      <span className="tabular-nums">{check.count > 0 ? count(check.count) : 'aside'}</span>
                    </span>
                    <span className="block h-1 w-full overflow-hidden rounded-full bg-line" aria-hidden="true">
                      <span
                        className="block h-full rounded-full bg-marigold"
                        style={{ width: `${Math.max(2, (check.weight / heaviest) * 100)}%` }}
                      />
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </nav>
          {chosen ? (
            <One key={chosen.key} check={chosen} />
          ) : (
            <Empty title="None of these is left">What was here is mended. Go on with another sort.</Empty>
          )}
        </div>
      )}
    </div>
  );
}
