import { inMoney, moneyRange, say } from '../tongue';

interface Props {
  price: number;
  /** highest price when variants differ */
  upTo?: number;
  wasPrice: number | null;
  currency: string;
  large?: boolean;
  /** both ends are told, where others say "from" */
  isRange?: boolean;
}

/** What stands in place of a price that is not told. */
export const untoldPrice = (pricing: 'onRequest' | 'soldOut'): string => say(`price.${pricing}`);

/** "€0.25 per metre" */
export function UnitPrice({ of, currency }: { of: { amount: number; words: string }; currency: string }) {
  return (
    <span className="text-xs tabular-nums text-ink-soft">
      {inMoney(of.amount, currency)} {of.words}
    </span>
  );
}

/** A price in words: "from" where variants differ, and what it was where it is reduced. */
export function Price({ price, upTo = price, wasPrice, currency, large = false, isRange = false }: Props) {
  return (
    <span className={`inline-flex flex-wrap items-baseline gap-x-2 tabular-nums ${large ? 'text-2xl' : 'text-[15px]'}`}>
      <span className={`font-semibold ${wasPrice === null ? 'text-ink' : 'text-sale'}`}>
        {upTo > price && !isRange && (
          <span className="mr-1 text-[0.8em] font-normal text-ink-soft">{say('price.from')}</span>
        )}
        {upTo > price && isRange ? moneyRange(price, upTo, currency) : inMoney(price, currency)}
      </span>
      {wasPrice !== null && (
        <s className="text-[0.8em] text-ink-soft">
          <span className="sr-only">{say('price.was')} </span>
          {inMoney(wasPrice, currency)}
        </s>
      )}
    </span>
  );
}
