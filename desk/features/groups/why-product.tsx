import { useState } from 'react';
import type { Rule } from '../../../core/model/rule';
import { AddProduct } from '../../shared/pickers/add-product';
import { useWhyInRule } from '../../data/rules';
import { orOf } from './near-misses';
import { Reasons } from '../../shared/ui/reasons';

interface Props {
  rule: Rule;
  leftOut: readonly string[];
}

/** Why any product is in or not: name it, and each condition says whether it holds. */
export function WhyProduct({ rule, leftOut }: Props) {
  const [id, setId] = useState<string | null>(null);
  const { data: why } = useWhyInRule({ rule, leftOut: [...leftOut] }, id);
  const isIn = why && why.isIn && why.although === '';
  return (
    <section className="sheet p-3.5" aria-label="Why isn’t this in?">
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="font-display text-[15px] font-bold">Why isn’t this in?</h2>
        <AddProduct taken={[]} add={setId} />
      </div>
      {why && (
        <div className="mt-2" aria-live="polite">
          <p>
            <strong>{why.title}</strong>{' '}
            <span className={isIn ? 'font-semibold text-petrol' : 'font-semibold text-rose'}>
              {isIn ? 'is in' : 'is not in'}
            </span>
            {why.although && `: ${why.although}`}
            {!why.isIn && why.lacks.length > 0 && ` by one condition: ${orOf(why.lacks)}`}
          </p>
          <Reasons reasons={why.reasons} className="mt-1.5" />
        </div>
      )}
    </section>
  );
}
