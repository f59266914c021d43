import type { PackageSize } from '../../model/product-values';
import type { DeliveryOption, Selling } from '../../model/selling';

/** What is to be delivered. */
export interface Parcel {
  country: string;
  /** g */
  weight: number;
  pieces: number;
  /** sum of the goods after offers, minor units */
  goods: number;
  /** of everything in it that has a known size, mm */
  sizes: readonly PackageSize[];
}

export type DeliveryRefusal = 'country' | 'tooMuch' | 'tooLarge';
export interface DeliveryQuote {
  option: DeliveryOption;
  /** minor units; null where it cannot be had */
  price: number | null;
  refused: DeliveryRefusal | null;
  /** what is missing until it is free; null where it never is, or is already */
  missing: number | null;
}

/** Countries that the shop delivers to. */
export const deliveredTo = ({ country, countries }: Selling): string[] =>
  countries.length === 0 ? [country] : [...countries];

const edges = ({ length, width, height }: PackageSize) => [length, width, height].sort((a, b) => b - a);

/** Does a package go into another, turned as it fits? */
const fitsInto = (size: PackageSize, largest: PackageSize): boolean => {
  const limits = edges(largest);
  return edges(size).every((edge, i) => edge <= limits[i]!);
};

function quote(option: DeliveryOption, parcel: Parcel): DeliveryQuote {
  const refused = (why: DeliveryRefusal): DeliveryQuote => ({ option, price: null, refused: why, missing: null });
  if (option.countries.length > 0 && !option.countries.includes(parcel.country)) return refused('country');
  const { largest, freeFrom } = option;
  if (largest && parcel.sizes.some((size) => !fitsInto(size, largest))) return refused('tooLarge');
  const amount = { weight: parcel.weight, price: parcel.goods, pieces: parcel.pieces }[option.by];
  const step = option.steps.find(({ upTo }) => upTo === null || amount <= upTo);
  if (!step) return refused('tooMuch');
  const isFree = freeFrom !== null && parcel.goods >= freeFrom;
  const missing = freeFrom === null || isFree || step.price === 0 ? null : freeFrom - parcel.goods;
  return { option, price: isFree ? 0 : step.price, refused: null, missing };
}

/** What each way of delivery that is on costs for a parcel, or why it cannot be had; in the seller's order. */
export function deliveryQuotes({ delivery }: Selling, parcel: Parcel): DeliveryQuote[] {
  return delivery.filter(({ isOn }) => isOn).map((option) => quote(option, parcel));
}
