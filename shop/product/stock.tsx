import type { ProductView, VariantView } from '../../core/storefront/views';

/** Stock in the words of what is sold. */
const stockWords = {
  goods: { none: 'Sold out in this version', few: 'In stock, only a few left', some: 'In stock' },
  service: { none: 'Fully booked', few: 'Only a few places left', some: 'Places are free' },
  digital: { none: 'Sold out', few: 'Only a few left', some: 'To download at once' },
  bundle: {
    none: 'Sold out: one of its parts is missing',
    few: 'Can be had only a few times',
    some: 'All parts in stock',
  },
};

/** Whether the chosen variant can be had now. */
export function Stock({ variant, product: { kind, orderDelay } }: { variant: VariantView; product: ProductView }) {
  const words = stockWords[kind === 'physical' || kind === 'giftCard' ? 'goods' : kind];
  if (!variant.inStock && orderDelay !== null) return <p className="mt-4 font-medium text-ink">{orderDelay}</p>;
  if (!variant.inStock) return <p className="mt-4 font-medium text-sale">{words.none}</p>;
  if (variant.few) return <p className="mt-4 font-medium text-ink">{words.few}</p>;
  return <p className="mt-4 font-medium text-sea">{words.some}</p>;
}
