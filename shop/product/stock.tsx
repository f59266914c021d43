import type { ProductView, VariantView } from '../../core/storefront/views';
import { say } from '../tongue';

/** Stock in the words of what is sold. */
const stockWords = {
  goods: { none: 'stock.soldOutVersion', few: 'stock.few', some: 'stock.in' },
  service: { none: 'stock.booked', few: 'stock.fewPlaces', some: 'stock.places' },
  digital: { none: 'stock.soldOut', few: 'stock.fewLeft', some: 'stock.download' },
  bundle: {
    none: 'stock.partMissing',
    few: 'stock.fewTimes',
    some: 'stock.allParts',
  },
} as const;

/** Whether the chosen variant can be had now. */
export function Stock({ variant, product: { kind, orderDelay } }: { variant: VariantView; product: ProductView }) {
  const words = stockWords[kind === 'physical' || kind === 'giftCard' ? 'goods' : kind];
  if (!variant.inStock && orderDelay !== null) return <p className="mt-4 font-medium text-ink">{orderDelay}</p>;
  if (!variant.inStock) return <p className="mt-4 font-medium text-sale">{say(words.none)}</p>;
  if (variant.few) return <p className="mt-4 font-medium text-ink">{say(words.few)}</p>;
  return <p className="mt-4 font-medium text-sea">{say(words.some)}</p>;
}
