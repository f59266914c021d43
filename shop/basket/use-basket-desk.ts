import { useCallback, useEffect, useMemo, useState } from 'react';
import type { BasketView } from '../../core/storefront/basket-shapes';
import { basketCalls, piecesKept, type BasketDesk } from './basket-store';

const leads = { basket: '/basket', checkout: '/checkout' };

/** Holds how much is in the basket, and the drawer that comes out when something is added. */
export function useBasketDesk(url: string) {
  const [pieces, setPieces] = useState(0);
  const [drawer, setDrawer] = useState<BasketView | null>(null);
  // Other tabs, and pages that were loaded, may have changed it.
  useEffect(() => {
    const look = () => setPieces(piecesKept());
    look();
    window.addEventListener('focus', look);
    return () => window.removeEventListener('focus', look);
  }, [url]);
  const add: BasketDesk['add'] = useCallback(async (entry) => {
    const answer = await basketCalls.add(entry);
    if ('problem' in answer) return answer.problem;
    const { view } = answer;
    setPieces(view.count);
    if (view.button === 'drawer') setDrawer(view);
    else window.location.assign(leads[view.button]);
    return undefined;
  }, []);
  const desk = useMemo(() => ({ pieces, add }), [pieces, add]);
  return { desk, drawer, setDrawer, setPieces };
}
