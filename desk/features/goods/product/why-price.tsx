import type { ReactNode } from 'react';
import type { ProductAnswer } from '../../../../contract/product';
import { formatMoney } from '../../../../core/shared/money';
import { momentWords } from '../../../../core/shared/moment';
import type { Variant } from '../../../../core/model/product';
import { Dialog } from '../../../shared/ui/dialog';
import { netOf, priceSteps, unitPrice, unitPricingWords, type PriceStep } from '../../../../core/pricing/price';

const percent = (basisPoints: number | null | undefined) =>
  basisPoints === null || basisPoints === undefined ? '—' : `${(basisPoints / 100).toFixed(1)} %`;

function Line({ label, value, isResult }: { label: ReactNode; value: ReactNode; isResult?: boolean }) {
  return (
    <div className={`flex justify-between gap-6 py-0.5 ${isResult ? 'border-t border-hair font-semibold' : ''}`}>
      <dt>{label}</dt>
      <dd className="tabular-nums">{value}</dd>
    </div>
  );
}

/** How the price of a variant comes about now, step by step, and what is left of it. */
function Reasons({ answer, variant }: { answer: ProductAnswer; variant: Variant }) {
  const { product, currency, tax, timeZone, margins, markUps, bundle } = answer;
  const money = (minor: number) => formatMoney(minor, currency);
  const now = Date.now() / 1000;
  const label = (step: PriceStep) => {
    if (step.what === 'price') return 'Price';
    if (step.what === 'sale')
      return step.until ? `Sale price until ${momentWords(step.until, timeZone)}` : 'Sale price';
    return `From ${step.from} pieces, ${step.off / 100} % off`;
  };
  const isOfParts = product.bundle?.pricing.how === 'parts';
  const steps = priceSteps(product, variant, now);
  const one = isOfParts && bundle ? bundle.price.min : steps.at(-1)!.amount;
  const net = netOf(one, tax.rate, tax.included);
  const perUnit = unitPrice(one, variant.content, product.unitPricing);
  const isWaiting = variant.salePrice !== null && steps.length === 1;
  return (
    <dl>
      {isOfParts ? (
        <Line label="The cheapest choice of parts" value={money(one)} />
      ) : (
        steps.map((step) => <Line key={step.what} label={label(step)} value={money(step.amount)} />)
      )}
      {isWaiting && <Line label="Sale price, not at this time" value={money(variant.salePrice!)} />}
      <Line label="A shopper pays now" value={money(one)} isResult />
      {product.quantityPrices.map((tier) => (
        <Line
          key={tier.from}
          label={label({ what: 'quantity', amount: 0, ...tier })}
          value={money(priceSteps(product, variant, now, tier.from).at(-1)!.amount)}
        />
      ))}
      {perUnit !== null && <Line label={unitPricingWords[product.unitPricing!].words} value={money(perUnit)} />}
      <Line
        label={`Tax of ${tax.rate / 100} %, ${tax.included ? 'in the price' : 'on top'}`}
        value={money(tax.included ? one - net : Math.round((one * tax.rate) / 10_000))}
      />
      <Line label="Without tax" value={money(net)} />
      <Line label="Cost" value={variant.cost === null ? 'not known' : money(variant.cost)} />
      {variant.cost !== null && (
        <>
          <Line label="Left over" value={money(net - variant.cost)} isResult />
          <Line label="Margin, of the price without tax" value={percent(margins[variant.id])} />
          <Line label="Mark-up on the cost" value={percent(markUps[variant.id])} />
        </>
      )}
    </dl>
  );
}

/** How a price and a margin come about. */
export function WhyPrice({
  answer,
  variant,
  name,
  close,
}: {
  answer: ProductAnswer;
  variant: Variant;
  name: string;
  close: () => void;
}) {
  return (
    <Dialog title={name} isOpen close={close} width="max-w-sm">
      <Reasons answer={answer} variant={variant} />
    </Dialog>
  );
}
