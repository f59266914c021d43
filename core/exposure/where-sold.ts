/** From where a product was opened, and how often. */
export interface Met {
  productId: string;
  /** such as category/c_1, search, or outside */
  place: string;
  times: number;
}

/** What one place of the shop led to. */
export interface PlaceSales {
  place: string;
  /** goods opened from there */
  times: number;
  /** money of what was sold of them, as far as it is put down to this place: minor units */
  value: number;
}

/**
 * Money that came in, put down to the places from which the goods were opened: that of each product in proportion to how often it
 * was opened from each. What was sold of goods that nobody opened is put down to none. The most money first. O(met + sold).
 */
export function salesByPlace(sold: readonly { productId: string; value: number }[], met: readonly Met[]): PlaceSales[] {
  const opened = new Map<string, number>();
  for (const { productId, times } of met) opened.set(productId, (opened.get(productId) ?? 0) + times);
  const values = new Map(sold.map(({ productId, value }) => [productId, value]));
  const places = new Map<string, PlaceSales>();
  for (const { productId, place, times } of met) {
    const known = places.get(place) ?? { place, times: 0, value: 0 };
    known.times += times;
    known.value += ((values.get(productId) ?? 0) * times) / opened.get(productId)!;
    places.set(place, known);
  }
  return [...places.values()]
    .map((each) => ({ ...each, value: Math.round(each.value) }))
    .sort((a, b) => b.value - a.value || b.times - a.times || (a.place < b.place ? -1 : 1));
}
