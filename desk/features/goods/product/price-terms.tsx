import { Plus, X } from 'lucide-react';
import type { ProductAnswer } from '../../../../contract/product';
import { type Product } from '../../../../core/model/product';
import {
  taxClasses,
  unitPricings,
  whenSoldOutChoices,
  type QuantityPrice,
  type UnitPricing,
  type WhenSoldOut,
} from '../../../../core/model/product-values';
import { formatMoney } from '../../../../core/shared/money';
import { effectivePrice, lessPercent, unitPricingWords } from '../../../../core/pricing/price';
import type { Autosave } from '../../../shared/autosave/autosave';
import { taxClassNames } from '../../../../core/pricing/tax';
import { Button } from '../../../shared/ui/button';
import { TextField } from '../../../shared/ui/field';
import { MeasureField } from '../../../shared/ui/measure-field';
import { MomentField } from '../../../shared/ui/moment-field';
import { readReduction, readWhole } from '../../../shared/ui/readings';
import { Select } from '../../../shared/ui/select';
import { Tick } from '../../../shared/ui/tick';
import { useProductField } from './use-product-autosave';

const soldOutWords: Record<WhenSoldOut, string> = {
  keep: 'Keep showing it',
  last: 'Show it last',
  hide: 'Hide it from listings',
  order: 'Let it be ordered',
};

function QuantityPrices({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  const { product, currency } = answer;
  const { value: tiers, error, unsaved, change } = useProductField(save, 'quantityPrices');
  const first = product.variants[0];
  const price = first && effectivePrice(product, first, Date.now() / 1000).price;
  const setAt = (at: number, tier: Partial<QuantityPrice>) =>
    change(tiers.map((each, i) => (i === at ? { ...each, ...tier } : each)));
  const last = tiers.at(-1);
  return (
    <div>
      <span className="mb-1 block font-semibold">Quantity prices</span>
      <ul className="flex flex-col gap-1.5">
        {tiers.map((tier, at) => (
          <li key={at} className="flex flex-wrap items-center gap-2" data-unsaved={unsaved || undefined}>
            from
            <div className="w-16 shrink-0">
              <MeasureField
                label={`Pieces of quantity price ${at + 1}`}
                hideLabel
                shown={String(tier.from)}
                read={readWhole}
                change={(from) => setAt(at, { from: from as number })}
                className="text-right"
              />
            </div>
            pieces
            <div className="w-20 shrink-0">
              <MeasureField
                label={`Reduction of quantity price ${at + 1}`}
                hideLabel
                shown={`${tier.off / 100} %`}
                read={readReduction}
                change={(off) => setAt(at, { off: off as number })}
                className="text-right"
              />
            </div>
            off
            {price !== undefined && (
              <span className="text-ink-2">{formatMoney(lessPercent(price, tier.off), currency)} each</span>
            )}
            <button
              type="button"
              aria-label={`Remove quantity price ${at + 1}`}
              onClick={() => change(tiers.filter((_, i) => i !== at))}
              className="rounded p-1 text-ink-2 hover:text-rose"
            >
              <X size={13} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
      {error && (
        <p role="alert" className="mt-1 text-rose-ink">
          {error}
        </p>
      )}
      {tiers.length < 12 && (
        <Button
          look="bare"
          className="-ml-2"
          onClick={() =>
            change([...tiers, last ? { from: last.from * 2, off: last.off + 500 } : { from: 2, off: 500 }])
          }
        >
          <Plus size={13} aria-hidden="true" /> {tiers.length === 0 ? 'Less per piece for more pieces' : 'One more'}
        </Button>
      )}
    </div>
  );
}

/** What of the price and the stock holds for all variants. */
export function PriceTermsPart({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  const { product, timeZone } = answer;
  const unit = useProductField(save, 'unitPricing');
  const tax = useProductField(save, 'taxClass');
  const soldOut = useProductField(save, 'whenSoldOut');
  const onRequest = useProductField(save, 'priceOnRequest');
  const hidden = useProductField(save, 'hidePriceWhenSoldOut');
  const delay = useProductField(save, 'orderDelay');
  const saleFrom = useProductField(save, 'saleFrom');
  const saleUntil = useProductField(save, 'saleUntil');
  const hasSale = product.variants.some(({ salePrice }) => salePrice !== null);
  return (
    <div className="mt-4 grid gap-x-8 gap-y-4 border-t border-hair pt-4 lg:grid-cols-[26rem_1fr]">
      <div>
        <div className="flex flex-wrap gap-3">
          <MomentField label="Sale from" timeZone={timeZone} {...saleFrom} />
          <MomentField label="Sale until" timeZone={timeZone} {...saleUntil} />
        </div>
        <p className="mt-1 text-xs text-ink-2">
          {hasSale
            ? `Sale prices hold between these, by the clocks of ${timeZone}; always, where a day is left empty.`
            : 'No variant has a sale price yet.'}
        </p>
      </div>
      <QuantityPrices answer={answer} save={save} />
      <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
        <div>
          <span className="mb-1 block font-semibold">Unit price</span>
          <Select
            label="Unit price"
            value={unit.value ?? ''}
            choices={[
              { value: '', label: 'None' },
              ...unitPricings.map((value) => ({ value, label: unitPricingWords[value].words })),
            ]}
            choose={(value) => unit.change(value === '' ? null : (value as UnitPricing))}
            className="w-32 !py-[6px]"
          />
        </div>
        <div>
          <span className="mb-1 block font-semibold">Tax</span>
          <Select
            label="Tax"
            value={tax.value}
            choices={taxClasses.map((value) => ({ value, label: taxClassNames[value] }))}
            choose={(value) => tax.change(value as Product['taxClass'])}
            className="w-32 !py-[6px]"
          />
        </div>
        <div className="pt-[22px]">
          <Tick label="Price on request" checked={onRequest.value} change={onRequest.change} />
        </div>
      </div>
      <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
        <div>
          <span className="mb-1 block font-semibold">When sold out</span>
          <Select
            label="When sold out"
            value={soldOut.value}
            choices={whenSoldOutChoices.map((value) => ({ value, label: soldOutWords[value] }))}
            choose={(value) => soldOut.change(value as WhenSoldOut)}
            className="w-48 !py-[6px]"
          />
        </div>
        <div className="pt-[22px]">
          <Tick label="No price then" checked={hidden.value} change={hidden.change} />
        </div>
        {soldOut.value === 'order' && (
          <TextField
            label="What shoppers then read"
            placeholder="Back in about three weeks"
            value={delay.value}
            error={delay.error}
            unsaved={delay.unsaved}
            onChange={(event) => delay.change(event.target.value)}
          />
        )}
      </div>
    </div>
  );
}
