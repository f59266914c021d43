import { createContext, useContext } from 'react';
import type { BasketView } from '../../core/storefront/basket-shapes';
import { inTongue, say } from '../tongue';

/** What a script puts into the basket. */
export interface ToBasket {
  slug: string;
  variant: string;
  quantity: number;
  parts?: { slotId: string; variantId: string; quantity: number }[];
  value?: number | null;
}

interface Refusal {
  title?: string;
  errors?: { path: (string | number)[]; message: string }[];
}

/** What came of asking for the basket: its view, or what is wrong in plain words. */
export type BasketAnswer = { view: BasketView } | { problem: string };

async function asked(method: string, path: string, body?: unknown): Promise<BasketAnswer> {
  const answer = await fetch(inTongue(`/shop-api/basket${path}`), {
    method,
    ...(body !== undefined && { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  }).catch(() => undefined);
  const json = (await answer?.json().catch(() => undefined)) as (BasketView & Refusal) | undefined;
  if (answer?.ok && json) return { view: json };
  return { problem: json?.errors?.[0]?.message ?? json?.title ?? say('frame.failed') };
}

/** The calls of the basket, one after another: a slow answer never overtakes a later one. */
let last: Promise<unknown> = Promise.resolve();
function inTurn(call: () => Promise<BasketAnswer>): Promise<BasketAnswer> {
  const mine = last.then(call);
  last = mine;
  return mine;
}

export const basketCalls = {
  read: () => inTurn(() => asked('GET', '')),
  add: (entry: ToBasket) => inTurn(() => asked('POST', '/entries', entry)),
  setQuantity: (key: string, quantity: number) => inTurn(() => asked('PATCH', '/entries', { key, quantity })),
  addCode: (code: string) => inTurn(() => asked('POST', '/codes', { code })),
  dropCode: (code: string) => inTurn(() => asked('POST', '/codes/drop', { code })),
  change: (fields: { note?: string; country?: string; deliveryId?: string }) =>
    inTurn(() => asked('PATCH', '', fields)),
};

/** Pieces in the basket, as the browser was told last; 0 where it was told nothing. */
export function piecesKept(): number {
  const pieces = Number(/(?:^|; )dispona_pieces=(\d+)/.exec(document.cookie)?.[1] ?? 0);
  return Number.isFinite(pieces) ? pieces : 0;
}

export interface BasketDesk {
  pieces: number;
  /** adds something, then leads where the shop wants; answers what is wrong */
  add: (entry: ToBasket) => Promise<string | undefined>;
}

/** The basket of the page; null while nothing can be put into it, as in the shop window. */
export const BasketContext = createContext<BasketDesk | null>(null);
export const useBasketDesk = () => useContext(BasketContext);
