import type { Rounding } from '../model/rounding';

/**
 * The price of that ending that lies nearest to `price` (half way: the higher), or next above or below it. Never below
 * the lowest price of that ending that is above zero.
 */
export function roundedPrice(price: number, { step, ending, way }: Rounding): number {
  const places = (price - ending) / step;
  const place = way === 'up' ? Math.ceil(places) : way === 'down' ? Math.floor(places) : Math.floor(places + 0.5);
  return Math.max(place, ending === 0 ? 1 : 0) * step + ending;
}
