import { useState } from 'react';
import type { BasketView } from '../../core/storefront/basket-shapes';
import { useReady } from '../ui/use-ready';
import type { BasketAnswer } from './basket-store';

/** The basket as it was answered last, and what was wrong with what was done last. */
export function useBasketView(initial: BasketView, tell?: (view: BasketView) => void) {
  const isReady = useReady();
  const [view, setView] = useState(initial);
  const [problem, setProblem] = useState<string | undefined>(undefined);
  const take = (asked: Promise<BasketAnswer>) => {
    void asked.then((answer) => {
      if ('problem' in answer) return setProblem(answer.problem);
      setProblem(undefined);
      setView(answer.view);
      tell?.(answer.view);
    });
  };
  return { view, problem, take: isReady ? take : undefined };
}
