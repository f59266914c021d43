import { variantDefaults, type Option, type Variant } from '../model/product';

/** An option whose ids are its names. */
export const option = (id: string, ...values: string[]): Option => ({
  id,
  name: id,
  listId: null,
  values: values.map((value) => ({ id: value, name: value, swatch: null, pictureId: null })),
});
/** A variant of those values, at a price of 1.00, of which there are none. */
export const variant = (id: string, values: string[], over: Partial<Variant> = {}): Variant => ({
  ...variantDefaults,
  id,
  values,
  sku: '',
  price: 100,
  salePrice: null,
  cost: null,
  pictureId: null,
  stock: 0,
  ...over,
});
