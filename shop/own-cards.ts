import { useEffect, useState } from 'react';
import type { OwnSource } from '../core/model/sections/strip';
import type { ProductCard } from '../core/storefront/views';
import { useBasketDesk } from './basket/basket-store';
import { inTongue } from './tongue';

const KEY = 'seen';
const MOST = 48;

/** Slugs of the products that this shopper looked at on this device, the last one first. */
function seenSlugs(): string[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(kept) ? kept.filter((slug) => typeof slug === 'string') : [];
  } catch {
    return [];
  }
}

/** Notes that this shopper looks at a product. Stays in the browser. */
export function useNoteSeen(slug: string): void {
  useEffect(() => {
    try {
      localStorage.setItem(KEY, JSON.stringify([slug, ...seenSlugs().filter((each) => each !== slug)].slice(0, MOST)));
    } catch {
      // A browser that keeps nothing shows no such strip.
    }
  }, [slug]);
}

/** Where the cards of this shopper are asked for; undefined where there can be none. */
function addressOf(source: OwnSource, count: number, pieces: number): string | undefined {
  if (source === 'goesWithBasket')
    return pieces > 0 ? inTongue(`/shop-api/basket/goes-with?count=${count}`) : undefined;
  const slugs = seenSlugs().slice(0, count);
  return slugs.length > 0 ? inTongue(`/shop-api/cards?slugs=${encodeURIComponent(slugs.join(','))}`) : undefined;
}

/** Cards that only this browser can ask for; none before they are known, or where nothing is wanted. */
export function useOwnCards(source: OwnSource | null, count: number): ProductCard[] {
  const pieces = useBasketDesk()?.pieces ?? 0;
  // Only what goes with the basket follows it.
  const followed = source === 'goesWithBasket' ? pieces : 0;
  const [cards, setCards] = useState<ProductCard[]>([]);
  useEffect(() => {
    const address = source ? addressOf(source, count, followed) : undefined;
    if (address === undefined) return setCards((before) => (before.length > 0 ? [] : before));
    const stop = new AbortController();
    fetch(address, { signal: stop.signal })
      .then(async (answer) => setCards(((await answer.json()) as { items: ProductCard[] }).items))
      .catch(() => undefined);
    return () => stop.abort();
  }, [source, count, followed]);
  return cards;
}
