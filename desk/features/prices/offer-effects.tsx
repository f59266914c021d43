import clsx from 'clsx';
import { useState } from 'react';
import { Link } from 'react-router';
import { plainAmount } from '../../../core/shared/money';
import type { OfferPreview } from '../../data/offers';
import { Button } from '../../shared/ui/button';
import { Thumb } from '../../shared/ui/thumb';

type Effect = OfferPreview['effects'][number];

const FIRST = 12;
const percent = (basisPoints: number | null) => (basisPoints === null ? '–' : String(Math.round(basisPoints / 100)));
/** Width of a bar, in parts of a hundred; a loss has none. */
const widthOf = (basisPoints: number | null) => `${Math.max(0, Math.min(100, (basisPoints ?? 0) / 100))}%`;

function Margins({ effect }: { effect: Effect }) {
  const isLow = effect.isBad || (effect.marginAfter ?? 1) <= 0;
  return (
    <div className="flex items-center gap-3">
      <span className="flex w-40 flex-col gap-0.5" aria-hidden="true">
        <span className="h-1.5 rounded-full bg-line" style={{ width: widthOf(effect.marginBefore) }} />
        <span
          className={clsx('h-1.5 rounded-full', isLow ? 'bg-rose' : 'bg-petrol')}
          style={{ width: widthOf(effect.marginAfter) }}
        />
      </span>
      <span className="whitespace-nowrap tabular-nums text-ink-2">
        {percent(effect.marginBefore)} → <strong className="text-ink">{percent(effect.marginAfter)} %</strong>
      </span>
    </div>
  );
}

/** Every product that an offer takes in, with its price and margin before and under it; those to look at first. */
export function OfferEffects({ preview, why }: { preview: OfferPreview; why: (effect: Effect) => void }) {
  const [isAll, setAll] = useState(false);
  const shown = isAll ? preview.effects : preview.effects.slice(0, FIRST);
  if (preview.goods === 0)
    return (
      <p className="py-6 text-center text-ink-2">It takes in nothing yet. Choose the goods in the sentence above.</p>
    );
  return (
    <>
      <table className="w-full">
        <caption className="sr-only">What it does to each product</caption>
        <thead>
          <tr className="text-left text-xs font-semibold text-ink-2">
            <th className="py-1 pl-12 font-semibold">
              {preview.goods} goods, {preview.variants} variants
            </th>
            <th className="font-semibold">Price</th>
            <th className="font-semibold">Margin before → under it</th>
            <th>
              <span className="sr-only">Notes</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((effect) => (
            <tr key={effect.productId} className="h-10 border-t border-hair">
              <td className="min-w-0 pr-3">
                <span className="flex min-w-0 items-center gap-3">
                  <Thumb src={effect.picture} className="size-[30px]" />
                  <Link to={`/goods/${effect.productId}`} className="min-w-0 break-words font-semibold hover:underline">
                    {effect.title}
                  </Link>
                </span>
              </td>
              <td className="whitespace-nowrap pr-3 tabular-nums">
                <button
                  type="button"
                  onClick={() => why(effect)}
                  title="Why this price"
                  className="rounded hover:underline"
                >
                  {effect.after < effect.list && <s className="mr-1 text-ink-2">{plainAmount(effect.list)}</s>}
                  <strong>{plainAmount(effect.after)}</strong>
                </button>
              </td>
              <td className="pr-3">
                <Margins effect={effect} />
              </td>
              <td className={clsx('text-xs', effect.isBad ? 'font-semibold text-rose-ink' : 'text-ink-2')}>
                {effect.note}
                {effect.lowest !== null && effect.lowest < effect.list && (
                  <span className="block text-ink-2">lowest of 30 days {plainAmount(effect.lowest)}</span>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {!isAll && preview.effects.length > FIRST && (
        <Button look="bare" onClick={() => setAll(true)} className="mt-2">
          Show all {preview.effects.length}
        </Button>
      )}
      {preview.goods > preview.effects.length && isAll && (
        <p className="mt-2 text-ink-2">And {preview.goods - preview.effects.length} more.</p>
      )}
    </>
  );
}
