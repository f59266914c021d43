import { useState } from 'react';
import type { SectionNote } from '../../../data/shopfront';
import { Thumb } from '../../../shared/ui/thumb';

type Goods = SectionNote['goods'];

const SHOWN = 6;

function Those({ title, goods }: { title: string; goods: Goods }) {
  if (goods.length === 0) return null;
  return (
    <div>
      <h4 className="text-xs font-semibold">
        {goods.length} {title}
      </h4>
      <ul>
        {goods.slice(0, SHOWN).map((product) => (
          <li key={product.id} className="flex items-center gap-2 py-0.5">
            <Thumb src={product.thumbnail} className="size-6 shrink-0" />
            <span className="min-w-0 truncate">{product.title}</span>
          </li>
        ))}
      </ul>
      {goods.length > SHOWN && <p className="text-xs text-ink-2">and {goods.length - SHOWN} more</p>}
    </div>
  );
}

/** Who came into a strip and who went since it was opened, while its source, count or order is being tried. */
export function ComesAndGoes({ goods }: { goods: Goods }) {
  const [before, setBefore] = useState(goods);
  const [had, has] = [new Set(before.map(({ id }) => id)), new Set(goods.map(({ id }) => id))];
  const comes = goods.filter(({ id }) => !had.has(id));
  const goes = before.filter(({ id }) => !has.has(id));
  if (comes.length === 0 && goes.length === 0) return null;
  return (
    <section aria-label="Since you opened it" className="flex flex-col gap-1.5 rounded-[10px] bg-marigold-soft p-2.5">
      <h3 className="flex items-baseline justify-between gap-2 font-semibold">
        Since you opened it
        <button
          type="button"
          className="text-xs font-normal text-ink-2 underline-offset-2 hover:underline"
          onClick={() => setBefore(goods)}
        >
          compare from here
        </button>
      </h3>
      <Those title={comes.length === 1 ? 'comes' : 'come'} goods={comes} />
      <Those title={goes.length === 1 ? 'goes' : 'go'} goods={goes} />
    </section>
  );
}
