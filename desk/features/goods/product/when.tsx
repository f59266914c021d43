import type { ProductAnswer } from '../../../../contract/product';
import { momentWords } from '../../../../core/shared/moment';
import type { Autosave } from '../../../shared/autosave/autosave';
import { MomentField } from '../../../shared/ui/moment-field';
import { useProductField } from './use-product-autosave';
import { Part } from './part';

/** When a product is on the shop, in one sentence. */
function sentence({ product, timeZone }: ProductAnswer): string {
  const { status, liveFrom, liveUntil } = product;
  const days = [
    liveFrom && `from ${momentWords(liveFrom, timeZone)}`,
    liveUntil && `until ${momentWords(liveUntil, timeZone)}`,
  ].filter(Boolean);
  if (status !== 'live')
    return days.length ? `Once it is put on the shop, it shows ${days.join(' ')}.` : 'Not on the shop.';
  return days.length ? `On the shop ${days.join(' ')}.` : 'On the shop, without a last day.';
}

export function When({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  const { timeZone } = answer;
  const from = useProductField(save, 'liveFrom');
  const until = useProductField(save, 'liveUntil');
  return (
    <Part id="when" title="When" hint={sentence(answer)}>
      <div className="flex flex-wrap gap-3">
        <MomentField label="On the shop from" timeZone={timeZone} {...from} />
        <MomentField label="On the shop until" timeZone={timeZone} {...until} />
      </div>
      <p className="mt-1 text-xs text-ink-2">By the clocks of {timeZone}. Leave a day empty for no beginning or end.</p>
    </Part>
  );
}
