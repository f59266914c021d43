import type { ProductDocument } from '../model/document';

/** What rules, filters and search know of one variant. */
export interface VariantFacts {
  id: string;
  /** what a shopper pays now, minor units */
  price: number;
  onSale: boolean;
  /** Infinity when it is not counted */
  stock: number;
  /** option key → value key, such as colourway → ember */
  options: Readonly<Record<string, string>>;
}

/** What rules, filters and search know of one product, at one instant. */
export interface ProductFacts {
  id: string;
  title: string;
  kind: string;
  status: readonly string[];
  /** lowest price of its variants, minor units */
  price: number;
  /** highest price; of a bundle priced by its parts, the most it can come to */
  priceMax: number;
  onSale: boolean;
  /** sum over its variants; Infinity when one is not counted */
  stock: number;
  /** lowest cost of its variants, minor units; NaN while none is known */
  cost: number;
  /** lowest margin of its variants at their prices of now, basis points; NaN while no cost is known */
  margin: number;
  /** highest reduction of its variants now, basis points; 0 without one */
  discount: number;
  /** what its counted pieces cost, minor units; NaN while no cost is known */
  stockValue: number;
  /** pieces sold within so many days, by their number */
  sold: Readonly<Record<number, number>>;
  /** day of the last sale, seconds since 1970; NaN while none is known */
  lastSold: number;
  /** how many pictures it has */
  pictures: number;
  /** who delivers it; '' when nobody is named */
  supplier: string;
  /** all that it says of itself: what is seldom asked for is read from here, and not held a second time */
  document: ProductDocument;
  /** seconds since 1970 */
  created: number;
  featured: boolean;
  /** lower stands further in front, among those that are featured */
  featuredPlace: number;
  /** sold out, and to stand last then */
  last: boolean;
  /** by field key: ids of choices, yes/no, or a number in thousandths of its unit (days in seconds since 1970) */
  specs: Readonly<Record<string, readonly string[] | number | boolean>>;
  /** its categories and all above them */
  category: readonly string[];
  tag: readonly string[];
  brand: string | null;
  variants: readonly VariantFacts[];
}
