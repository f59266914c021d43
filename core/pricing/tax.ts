import type { taxClasses } from '../model/product-values';
import type { Settings } from '../model/settings';

/** What the tax classes are called. */
export const taxClassNames: Record<(typeof taxClasses)[number], string> = {
  standard: 'Standard',
  reduced: 'Reduced',
  zero: 'No tax',
};

/** Tax rate of a class in basis points. */
export function taxRateOf(
  settings: Pick<Settings, 'taxRate' | 'reducedTaxRate'>,
  taxClass: (typeof taxClasses)[number],
): number {
  return { standard: settings.taxRate, reduced: settings.reducedTaxRate, zero: 0 }[taxClass];
}
