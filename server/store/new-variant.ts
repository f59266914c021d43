import { variantDefaults, type Variant } from '../../core/model/product';
import { newId } from '../shared/ids';

/** A variant of these values that is like another, but for what is its alone: SKU, barcode, stock, sale, picture. */
export function newVariant(values: string[], like: Pick<Variant, 'price' | 'cost'> & Partial<Variant>): Variant {
  const { price, cost } = like;
  return {
    ...variantDefaults,
    id: newId('variant'),
    values,
    sku: '',
    price,
    salePrice: null,
    cost,
    pictureId: null,
    // Of goods that are counted there are none of a new sort yet; of others there is no end.
    stock: typeof like.stock === 'number' ? 0 : null,
    warnAt: like.warnAt ?? null,
    content: like.content ?? null,
    weight: like.weight ?? null,
    size: like.size ?? null,
    packageType: like.packageType ?? '',
    dispatchDays: like.dispatchDays ?? null,
  };
}
