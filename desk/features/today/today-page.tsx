import { format } from 'date-fns';
import { lazy, Suspense, useCallback, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import type { DocumentKind } from '../../../core/model/document';
import { formatMoney } from '../../../core/shared/money';
import { useLooked, useToday, type Today } from '../../data/today';
import { ProposalsWait } from '../../shared/people/proposals-wait';
import { addressOf } from '../../shared/thing-addresses';
import { tray } from '../../shared/tray-store';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Pressed } from '../../shared/ui/pressed';
import { Failed, Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { useTitle } from '../../shared/ui/use-title';
import { useShopWindow } from '../../shared/window-state';
import { tellRefused } from '../../data/tell-refused';

const DaysChart = lazy(() => import('./days-chart'));

const PERIODS = [7, 30, 90, 365];

/** How much more or less than before, in words; nothing where there was nothing to compare with. */
function changeWords(now: number, before: number): string {
  if (before === 0) return '';
  const change = Math.round(((now - before) / before) * 100);
  return change === 0 ? 'as before' : `${change > 0 ? '+' : '−'}${count(Math.abs(change))} % on the time before`;
}

function Figure({ label, value, note }: { label: string; value: string; note: string }) {
  return (
    <div className="min-w-32 flex-1">
      <p className="text-[13px] text-ink-2">{label}</p>
      <p className="font-display text-2xl font-bold tabular-nums">{value}</p>
      <p className="h-4 text-xs text-ink-2">{note}</p>
    </div>
  );
}

interface CardProps {
  title: string;
  note?: string;
  /** goods that can be picked up together */
  ids?: readonly string[];
  empty: string;
  children: ReactNode[];
}

/** A short list of what is worth knowing. */
function Card({ title, note, ids = [], empty, children }: CardProps) {
  return (
    <section aria-label={title} className="sheet flex flex-col p-3.5">
      <div className="mb-1.5 flex items-baseline gap-2">
        <h2 className="min-w-0 flex-1 truncate font-display text-[15px] font-bold">{title}</h2>
        {note && <span className="text-xs text-ink-2">{note}</span>}
        {ids.length > 0 && (
          <Button
            look="bare"
            className="!px-1 !py-0 text-xs"
            aria-label={`Put these into the tray: ${title}`}
            onClick={() => {
              tray.add(ids);
              toast(`${ids.length} ${ids.length === 1 ? 'product is' : 'products are'} in the tray`);
            }}
          >
            Into the tray
          </Button>
        )}
      </div>
      {children.length === 0 ? <p className="text-ink-2">{empty}</p> : <ul>{children}</ul>}
    </section>
  );
}

const line = 'flex items-center gap-2.5 border-b border-hair py-1.5 last:border-0';

function GoodLine({
  good,
  children,
}: {
  good: { id: string; title: string; thumbnail: string | null };
  children: ReactNode;
}) {
  return (
    <li className={line}>
      <Thumb src={good.thumbnail} className="size-7" />
      <Link to={`/goods/${good.id}`} className="min-w-0 flex-1 truncate font-medium hover:underline" title={good.title}>
        {good.title}
      </Link>
      <span className="shrink-0 text-right text-[13px] tabular-nums text-ink-2">{children}</span>
    </li>
  );
}

const days = (of: number) => (of < 1 ? 'today' : `in ${Math.round(of)} ${Math.round(of) === 1 ? 'day' : 'days'}`);

const ids = (goods: readonly { id: string }[]) => goods.map(({ id }) => id);

function Changed({ changed }: { changed: Today['changed'] }) {
  const looked = useLooked();
  return (
    <section aria-label="What others changed" className="sheet p-3.5">
      <div className="mb-1.5 flex items-baseline gap-2">
        <h2 className="flex-1 font-display text-[15px] font-bold">Since you looked last</h2>
        {changed.length > 0 && (
          <Button
            look="bare"
            className="!px-1 !py-0 text-xs"
            onClick={() => looked.mutate(undefined, { onError: tellRefused })}
          >
            I have seen it
          </Button>
        )}
      </div>
      {changed.length === 0 ? (
        <p className="text-ink-2">Nobody else changed anything.</p>
      ) : (
        <ul>
          {changed.map(({ id, at, userName, label }) => (
            <li key={id} className={line}>
              <span className="min-w-0 flex-1 truncate" title={label}>
                {label}
              </span>
              <span className="shrink-0 text-xs text-ink-2">
                {[userName, format(new Date(at), 'd MMM HH:mm')].filter(Boolean).join(' · ')}
              </span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Where the desk works on a place of the shop. */
const placeAt = (kind: string, id: string): string | undefined =>
  kind === 'search'
    ? '/words?part=searched'
    : id === ''
      ? undefined
      : addressOf({ kind: kind as DocumentKind, key: id });

function Lists({ data, money }: { data: Today; money: (minor: number) => string }) {
  const { best, groups, places, viewed, searched, lost, runsOut, slow, loose, planned } = data;
  return (
    <div className="grid grid-cols-2 gap-3 max-lg:grid-cols-1">
      <Card
        title="Runs out soon"
        note={data.runsOutCount > runsOut.length ? `${runsOut.length} of ${data.runsOutCount}` : undefined}
        ids={ids(runsOut)}
        empty="Nothing will be sold out in the next 30 days, as it sells now."
      >
        {runsOut.map((good) => (
          <GoodLine key={good.id} good={good}>
            <span title={`Eight times in ten between day ${Math.floor(good.early)} and day ${Math.ceil(good.late)}`}>
              {good.stock} left, {days(good.likely)}{' '}
              <span className="text-ink-2">
                ({Math.floor(good.early)}–{Math.ceil(good.late)})
              </span>
            </span>
          </GoodLine>
        ))}
      </Card>
      <Card title="Sells best" ids={ids(best)} empty="Nothing was sold in this time.">
        {best.map((good) => (
          <GoodLine key={good.id} good={good}>
            {count(good.pieces)} × · {money(good.value)}
          </GoodLine>
        ))}
      </Card>
      <Card title="Loose ends" note={loose.total > 0 ? count(loose.total) : undefined} empty="Nothing is loose.">
        {loose.checks.map(({ key, label, count: found }) => (
          <li key={key} className={line}>
            <Link to={`/loose-ends?check=${key}`} className="min-w-0 flex-1 truncate font-medium hover:underline">
              {label}
            </Link>
            <span className="text-[13px] tabular-nums text-ink-2">{count(found)}</span>
          </li>
        ))}
      </Card>
      <Card title="Planned editions" empty="None. The review can put your work live at a time you choose.">
        {planned.map(({ id, at, label, documents, touched }) => (
          <li key={id} className={line}>
            <Link to="/review" className="min-w-0 flex-1 truncate font-medium hover:underline">
              {[format(new Date(at), 'EEE d MMM HH:mm'), label].filter(Boolean).join(' · ')}
            </Link>
            <span className="text-[13px] text-ink-2">
              {documents} {documents === 1 ? 'change' : 'changes'}
              {touched > 0 && `, ${touched} touched since`}
            </span>
          </li>
        ))}
      </Card>
      <Card title="Searched and not found" empty="Every search found something.">
        {lost.map(({ words, times }) => (
          <li key={words} className={line}>
            <Link to="/words?part=searched" className="min-w-0 flex-1 truncate font-medium hover:underline">
              “{words}”
            </Link>
            <span className="text-[13px] tabular-nums text-ink-2">{count(times)} ×</span>
          </li>
        ))}
      </Card>
      <Card title="Searched most" empty="Nobody searched in this time.">
        {searched.map(({ words, times, found }) => (
          <li key={words} className={line}>
            <Link to="/words?part=searched" className="min-w-0 flex-1 truncate font-medium hover:underline">
              “{words}”
            </Link>
            <span className="text-[13px] tabular-nums text-ink-2">
              {count(times)} ×{found === 0 && ', nothing found'}
            </span>
          </li>
        ))}
      </Card>
      <Card title="Looked at most" ids={ids(viewed)} empty="Nobody looked at a product in this time.">
        {viewed.map((good) => (
          <GoodLine key={good.id} good={good}>
            {count(good.times)} × seen, {count(good.pieces)} sold
          </GoodLine>
        ))}
      </Card>
      <Card
        title="Lies in stock"
        note={data.slowValue > 0 ? `${money(data.slowValue)} at cost` : undefined}
        ids={ids(slow)}
        empty="Everything in stock was sold in the last 90 days."
      >
        {slow.map((good) => (
          <GoodLine key={good.id} good={good}>
            {count(good.stock)} left{good.value > 0 && ` · ${money(good.value)}`}
          </GoodLine>
        ))}
      </Card>
      <Card title="Where the money comes from" empty="Nothing was sold in this time.">
        {groups.map(({ id, name, value }) => (
          <li key={id} className={line}>
            <Link to={`/groups/category/${id}`} className="min-w-0 flex-1 truncate font-medium hover:underline">
              {name}
            </Link>
            <span className="text-[13px] tabular-nums text-ink-2">{money(value)}</span>
          </li>
        ))}
      </Card>
      <Card
        title="Where goods were met"
        note="money put down to where they were opened"
        empty="Nobody opened a product in this time."
      >
        {places.map(({ kind, id, name, times, value }) => {
          const to = placeAt(kind, id);
          return (
            <li key={`${kind} ${id}`} className={line}>
              {to ? (
                <Link to={to} className="min-w-0 flex-1 truncate font-medium hover:underline">
                  {name}
                </Link>
              ) : (
                <span className="min-w-0 flex-1 truncate font-medium">{name}</span>
              )}
              <span className="text-[13px] tabular-nums text-ink-2">
                {count(times)} × opened · {money(value)}
              </span>
            </li>
          );
        })}
      </Card>
      <Changed changed={data.changed} />
    </div>
  );
}

/** The same as the chart, for those who read rather than look. */
function DaysTable({ series, money }: { series: Today['series']; money: (minor: number) => string }) {
  return (
    <details className="text-[13px]">
      <summary className="cursor-pointer text-ink-2 hover:text-ink">As a table</summary>
      <div className="mt-2 max-h-56 overflow-y-auto">
        <table className="w-full text-left tabular-nums">
          <thead>
            <tr className="text-ink-2">
              <th className="font-medium">Day</th>
              <th className="text-right font-medium">Orders</th>
              <th className="text-right font-medium">Value</th>
              <th className="text-right font-medium">Visits</th>
            </tr>
          </thead>
          <tbody>
            {[...series].reverse().map(({ day, orders, value, visits }) => (
              <tr key={day} className="border-t border-hair">
                <td>{format(new Date(`${day}T12:00:00Z`), 'EEE d MMM')}</td>
                <td className="text-right">{orders}</td>
                <td className="text-right">{money(value)}</td>
                <td className="text-right">{visits}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}

/** The first look of the day: what sells, who comes, what runs out, what is loose, what is planned. */
export function TodayPage() {
  useTitle('Today');
  useShopWindow('/');
  const [params, setParams] = useSearchParams();
  const period = PERIODS.find((each) => String(each) === params.get('days')) ?? 30;
  const { data, error, refetch } = useToday(period);
  const currency = data?.currency;
  const money = useCallback((minor: number) => formatMoney(minor, currency ?? 'EUR'), [currency]);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={8} />;
  const { sold, soldBefore, visited, visitedBefore } = data;
  const isQuiet = data.series.every(({ orders, visits }) => orders + visits === 0);
  const average = (of: typeof sold) => (of.orders === 0 ? 0 : Math.round(of.value / of.orders));
  const share = (orders: number, visits: number) => (visits === 0 ? 0 : (orders / visits) * 100);
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
      <div className="flex flex-wrap items-center gap-3 py-2.5">
        <h1 className="font-display text-2xl font-bold">{format(new Date(), 'EEEE d MMMM')}</h1>
        <div role="group" aria-label="Time looked at" className="flex gap-1">
          {PERIODS.map((each) => (
            <Pressed
              key={each}
              isOn={each === period}
              choose={() => setParams({ days: String(each) }, { replace: true })}
            >
              {each === 365 ? 'A year' : `${each} days`}
            </Pressed>
          ))}
        </div>
      </div>
      <ProposalsWait />
      <section aria-label="Sales and visits" className="sheet mb-3 flex flex-col gap-3 p-3.5">
        <div className="flex flex-wrap gap-x-4 gap-y-2">
          <Figure label="Sold" value={money(sold.value)} note={changeWords(sold.value, soldBefore.value)} />
          <Figure label="Orders" value={count(sold.orders)} note={changeWords(sold.orders, soldBefore.orders)} />
          <Figure
            label="Average order"
            value={money(average(sold))}
            note={changeWords(average(sold), average(soldBefore))}
          />
          <Figure
            label="Visits"
            value={count(visited.visits)}
            note={changeWords(visited.visits, visitedBefore.visits)}
          />
          <Figure
            label="Orders per 100 visits"
            value={visited.visits === 0 ? '–' : share(sold.orders, visited.visits).toFixed(1)}
            note={visited.visits === 0 ? 'no visits were counted' : ''}
          />
        </div>
        {isQuiet ? (
          <p className="text-ink-2">Nobody came and nothing was sold in this time. Day by day it will be drawn here.</p>
        ) : (
          <>
            <Suspense fallback={<div className="h-44" />}>
              <DaysChart series={data.series} money={money} />
            </Suspense>
            <p className="text-xs text-ink-2">Bars are what was sold, the line is visits, day by day.</p>
            <DaysTable series={data.series} money={money} />
          </>
        )}
      </section>
      <Lists data={data} money={money} />
    </div>
  );
}
