import { useEffect, useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import type { Suggestions } from '../../core/storefront/views';
import { Picture } from '../ui/picture';
import { Price } from '../ui/price';
import { noteSearch, recentSearches } from './recent';
import { say } from '../tongue';
import { useIsWindow } from '../base';

const WAIT_MS = 90;

interface Props {
  base: string;
  initial: string;
  className?: string;
}

interface Option {
  url: string;
  /** what is searched for when it is chosen; for those that are searches */
  q?: string;
  draw: ReactNode;
}

interface Group {
  title: string;
  options: Option[];
}

const searchUrl = (base: string, q: string) => `${base}/search?q=${encodeURIComponent(q)}`;

const searchOption = (base: string, q: string): Option => ({
  url: searchUrl(base, q),
  q,
  draw: <span className="truncate px-1 py-0.5 text-sm text-ink">{q}</span>,
});

function groupsOf(base: string, { words, places, goods }: Suggestions): Group[] {
  return [
    { title: say('search.for'), options: words.map((q) => searchOption(base, q)) },
    {
      title: say('search.goTo'),
      options: places.map(({ kind, label, url, count }) => ({
        url: base + url,
        draw: (
          <span className="flex min-w-0 flex-1 justify-between gap-3 px-1 py-0.5 text-sm">
            <span className="truncate text-ink">{label}</span>
            <span className="shrink-0 text-ink-soft">
              {say(`search.${kind}`)}
              {count !== null && `, ${count}`}
            </span>
          </span>
        ),
      })),
    },
    {
      title: say('search.products'),
      options: goods.map((card) => ({
        url: base + card.url,
        draw: (
          <>
            <span className="size-12 shrink-0 overflow-hidden rounded-lg">
              <Picture picture={card.picture} sizes="48px" widest={48} />
            </span>
            <span className="min-w-0 flex-1">
              <span className="block truncate text-sm font-medium text-ink">{card.title}</span>
              {card.pricing === 'shown' && (
                <Price
                  price={card.price.min}
                  upTo={card.price.max}
                  wasPrice={card.wasPrice}
                  currency={card.price.currency}
                />
              )}
            </span>
          </>
        ),
      })),
    },
  ].filter(({ options }) => options.length > 0);
}

/** Asks for suggestions while somebody types; late answers to what was typed before are dropped. */
function useSuggestions(base: string, q: string, isOpen: boolean): { q: string; found: Suggestions } | null {
  const isWindow = useIsWindow();
  const [answer, setAnswer] = useState<{ q: string; found: Suggestions } | null>(null);
  useEffect(() => {
    const wanted = q.trim();
    if (wanted === '' || !isOpen) return;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      const from = isWindow ? `${base}/suggest` : `${base}/shop-api/suggest`;
      fetch(`${from}?q=${encodeURIComponent(q.trimStart())}`, { signal: stop.signal })
        .then(async (response) => {
          if (response.ok) setAnswer({ q: wanted, found: (await response.json()) as Suggestions });
        })
        .catch(() => undefined);
    }, WAIT_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [q, base, isWindow, isOpen]);
  return answer;
}

/** Search with suggestions while typing. Without script it is a plain form that leads to the search page. */
export function SearchBox({ base, initial, className = '' }: Props) {
  const [q, setQ] = useState(initial);
  const [isOpen, setOpen] = useState(false);
  const [active, setActive] = useState(-1);
  const [recent, setRecent] = useState<string[]>([]);
  const id = useId();
  const frame = useRef<HTMLFormElement>(null);
  const answer = useSuggestions(base, q, isOpen);
  // What belongs to other words is not shown beside these, but while a longer word is asked for.
  const fits = answer !== null && (q.trim().startsWith(answer.q) || answer.q.startsWith(q.trim()));
  const groups: Group[] =
    q.trim() === ''
      ? recent.length > 0
        ? [{ title: say('search.recent'), options: recent.map((each) => searchOption(base, each)) }]
        : []
      : fits
        ? groupsOf(base, answer.found)
        : [];
  const options = groups.flatMap((group) => group.options);
  const isNothing = q.trim() !== '' && fits && answer.q === q.trim() && options.length === 0;
  const isShown = isOpen && (options.length > 0 || isNothing);
  const at = Math.min(active, options.length - 1);

  const open = () => {
    setRecent(recentSearches());
    setOpen(true);
  };
  const choose = ({ url, q: searched }: Option) => {
    if (searched !== undefined) noteSearch(searched);
    window.location.assign(url);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      setOpen(false);
      setActive(-1);
    }
    if (event.key === 'ArrowDown' && !isOpen) open();
    if (!isShown || options.length === 0) return;
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      const step = event.key === 'ArrowDown' ? 1 : -1;
      // Past the last one is the field itself, then the first.
      const places = options.length + 1;
      setActive(((at + 1 + step + places) % places) - 1);
    }
    if (event.key === 'Enter' && at >= 0) {
      event.preventDefault();
      choose(options[at]!);
    }
  };

  /** of the first option of each group, among all options */
  const firstOf = groups.map((_, i) => groups.slice(0, i).reduce((sum, group) => sum + group.options.length, 0));
  return (
    <form
      ref={frame}
      role="search"
      action={`${base}/search`}
      className={`relative ml-auto w-full max-w-xs max-lg:flex-1 max-md:max-w-none lg:min-w-52 ${className}`}
      onSubmit={() => noteSearch(q)}
      onBlur={(event) => {
        if (!frame.current?.contains(event.relatedTarget)) setOpen(false);
      }}
    >
      <input
        type="search"
        name="q"
        value={q}
        autoComplete="off"
        placeholder={say('search.field')}
        aria-label={say('search.field')}
        role="combobox"
        aria-autocomplete="list"
        aria-expanded={isShown && options.length > 0}
        aria-controls={id}
        aria-activedescendant={isShown && at >= 0 ? `${id}-${at}` : undefined}
        className="w-full min-w-0 rounded-button border border-line bg-paper px-4 py-2 text-sm text-ink placeholder:text-ink-soft"
        onFocus={open}
        onClick={open}
        onChange={(event) => {
          setQ(event.target.value);
          setActive(-1);
          setOpen(true);
        }}
        onKeyDown={onKeyDown}
      />
      <p role="status" className="sr-only">
        {isShown && (isNothing ? say('search.none') : say('search.count', { count: options.length }))}
      </p>
      <div
        hidden={!isShown}
        className="absolute right-0 top-full z-40 mt-2 max-h-[75vh] w-full min-w-[min(22rem,calc(100vw-2rem))] overflow-y-auto rounded-2xl border border-line bg-paper p-2 shadow-large"
      >
        {isNothing && <p className="px-3 py-4 text-sm text-ink-soft">{say('search.nothing', { q: q.trim() })}</p>}
        <div id={id} role="listbox" aria-label={say('search.suggestions')}>
          {isShown &&
            groups.map((group, i) => (
              <div key={group.title} role="group" aria-labelledby={`${id}-g${i}`}>
                <p id={`${id}-g${i}`} className="px-3 pb-1 pt-2 text-xs text-ink-soft">
                  {group.title}
                </p>
                {group.options.map((option, j) => {
                  const own = firstOf[i]! + j;
                  return (
                    <a
                      key={option.url}
                      id={`${id}-${own}`}
                      role="option"
                      aria-selected={own === at}
                      tabIndex={-1}
                      href={option.url}
                      onClick={() => option.q !== undefined && noteSearch(option.q)}
                      className={`flex items-center gap-3 rounded-xl p-2 hover:bg-mist ${own === at ? 'bg-mist' : ''}`}
                    >
                      {option.draw}
                    </a>
                  );
                })}
              </div>
            ))}
        </div>
        {answer && fits && answer.found.total > answer.found.goods.length && q.trim() !== '' && (
          <button
            type="submit"
            className="mt-1 w-full rounded-xl px-3 py-2 text-left text-sm font-medium text-sea hover:bg-mist"
          >
            {say('search.all', { count: answer.found.total })}
          </button>
        )}
      </div>
    </form>
  );
}
