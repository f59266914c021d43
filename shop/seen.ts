import { useEffect, useState } from 'react';
import type { ProductCard } from '../core/storefront/views';
import { useBase } from './base';

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

/** Cards of the products that this shopper saw lately; none before they are known, or where nothing is wanted. */
export function useSeenCards(isWanted: boolean, count: number): ProductCard[] {
  const base = useBase();
  const [cards, setCards] = useState<ProductCard[]>([]);
  useEffect(() => {
    const slugs = seenSlugs().slice(0, count);
    if (!isWanted || slugs.length === 0) return;
    const stop = new AbortController();
    fetch(`/shop-api/cards?slugs=${encodeURIComponent(slugs.join(','))}`, { signal: stop.signal })
      .then(async (answer) => setCards(((await answer.json()) as { items: ProductCard[] }).items))
      .catch(() => undefined);
    return () => stop.abort();
  }, [isWanted, count, base]);
  return cards;
}
