import { useEffect, useId, useRef, useState } from 'react';
import type { ProductCard } from '../../core/storefront/views';
import { fetchShopData } from '../fetch-data';
import { Picture } from '../ui/picture';
import { Price } from '../ui/price';

const SHOWN = 6;
const WAIT_MS = 90;

interface Props {
  base: string;
  initial: string;
}

interface Hits {
  q: string;
  items: ProductCard[];
  total: number;
}

/** Search with answers while typing. Without script it is a plain form that leads to the search page. */
export function SearchBox({ base, initial }: Props) {
  const [q, setQ] = useState(initial);
  const [hits, setHits] = useState<Hits | null>(null);
  const [isOpen, setOpen] = useState(false);
  const [active, setActive] = useState(-1);
  const listId = useId();
  const frame = useRef<HTMLFormElement>(null);

  useEffect(() => {
    const wanted = q.trim();
    if (wanted === '' || !isOpen) return;
    const stop = new AbortController();
    const timer = setTimeout(() => {
      fetchShopData(`${base}/search?q=${encodeURIComponent(wanted)}`, stop.signal)
        .then(({ page }) => {
          if (page.kind !== 'listing') return;
          setHits({ q: wanted, items: page.listing.items.slice(0, SHOWN), total: page.listing.total });
          setActive(-1);
        })
        .catch(() => undefined);
    }, WAIT_MS);
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [q, base, isOpen]);

  const shown = isOpen && q.trim() !== '' ? hits : null;
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.key === 'Escape') setOpen(false);
    if (!shown || shown.items.length === 0) return;
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      const step = event.key === 'ArrowDown' ? 1 : -1;
      setActive(
        (active + step + shown.items.length + 1) % (shown.items.length + 1) || (step < 0 ? shown.items.length - 1 : 0),
      );
    }
    if (event.key === 'Enter' && active >= 0 && shown.items[active]) {
      event.preventDefault();
      window.location.assign(base + shown.items[active].url);
    }
  };

  return (
    <form
      ref={frame}
      role="search"
      action={`${base}/search`}
      className="relative ml-auto w-full max-w-xs max-md:max-w-none max-md:flex-1"
      onBlur={(event) => {
        if (!frame.current?.contains(event.relatedTarget)) setOpen(false);
      }}
    >
      <input
        type="search"
        name="q"
        value={q}
        autoComplete="off"
        placeholder="Search the shop"
        aria-label="Search the shop"
        role="combobox"
        aria-expanded={shown !== null}
        aria-controls={listId}
        aria-activedescendant={active >= 0 ? `${listId}-${active}` : undefined}
        className="w-full rounded-full border border-line bg-white px-4 py-2 text-sm text-ink placeholder:text-ink-soft"
        onChange={(event) => {
          setQ(event.target.value);
          setOpen(true);
        }}
        onKeyDown={onKeyDown}
      />
      {shown && (
        <div className="absolute right-0 top-full z-40 mt-2 w-full min-w-80 rounded-2xl border border-line bg-white p-2 shadow-lg">
          {shown.items.length === 0 ? (
            <p className="px-3 py-4 text-sm text-ink-soft">Nothing found for “{shown.q}”. Fewer letters may help.</p>
          ) : (
            <ul id={listId} role="listbox" aria-label="Products found">
              {shown.items.map((card, i) => (
                <li key={card.id} role="option" id={`${listId}-${i}`} aria-selected={i === active}>
                  <a
                    href={base + card.url}
                    className={`flex items-center gap-3 rounded-xl p-2 hover:bg-mist ${i === active ? 'bg-mist' : ''}`}
                  >
                    <span className="size-12 shrink-0 overflow-hidden rounded-lg">
                      <Picture picture={card.picture} sizes="48px" />
                    </span>
                    <span className="min-w-0 flex-1">
                      <span className="block truncate text-sm font-medium text-ink">{card.title}</span>
                      <Price
                        price={card.price.min}
                        upTo={card.price.max}
                        wasPrice={card.wasPrice}
                        currency={card.price.currency}
                      />
                    </span>
                  </a>
                </li>
              ))}
            </ul>
          )}
          {shown.total > shown.items.length && (
            <button
              type="submit"
              className="mt-1 w-full rounded-xl px-3 py-2 text-left text-sm font-medium text-sea hover:bg-mist"
            >
              All {shown.total} results
            </button>
          )}
        </div>
      )}
    </form>
  );
}
