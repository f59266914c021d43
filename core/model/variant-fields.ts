import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { declare } from './fields';
import {
  barcodeSchema,
  contentSchema,
  customsCodeSchema,
  dispatchDaysSchema,
  moneySchema,
  packageSizeSchema,
  packageTypeSchema,
  stockSchema,
  weightSchema,
} from './product-values';

/** The fields of a variant, in the order in which tables show them. docs/adding.md says what else a new one needs. */
export const variantFields = declare({
  sku: {
    stored: z.string(),
    typed: z.string().trim().max(80, 'A SKU can have at most 80 characters.'),
    audience: 'shoppers',
    words: 'SKU',
    column: 'plain',
    makers: 'see',
  },
  /** '' when there is none */
  barcode: {
    stored: z.string(),
    typed: barcodeSchema,
    usual: '',
    audience: 'shoppers',
    words: 'barcode',
    column: 'plain',
    makers: 'propose',
  },
  /** under which the supplier knows it */
  supplierNumber: {
    stored: z.string(),
    typed: z.string().trim().max(80, 'At most 80 characters.'),
    usual: '',
    audience: 'seller',
    words: 'supplier number',
    column: 'plain',
    makers: 'propose',
  },
  price: {
    stored: moneySchema,
    audience: 'shoppers',
    words: 'price',
    column: 'plain',
    makers: 'propose',
    told: 'money',
  },
  salePrice: {
    stored: moneySchema.nullable(),
    audience: 'shoppers',
    words: 'sale price',
    column: 'plain',
    told: 'money',
  },
  cost: {
    stored: moneySchema.nullable(),
    usual: null,
    audience: 'rules',
    words: 'cost',
    column: 'plain',
    makers: 'propose',
    told: 'money',
  },
  /** Live: shoppers meet it as it is, not as it was when an edition was made. */
  stock: { stored: stockSchema, audience: 'seller', words: 'stock', column: 'own table', makers: 'see' },
  /** at this many pieces it is time to order again */
  warnAt: { stored: stockSchema, usual: null, audience: 'seller', words: 'warn-at level', column: 'plain' },
  pictureId: { stored: idSchema.nullable(), audience: 'shoppers', words: 'picture', column: 'plain', told: 'changed' },
  content: { stored: contentSchema, usual: null, audience: 'shoppers', words: 'content', column: 'plain' },
  /** delivery facts, where they differ from the product's */
  weight: {
    stored: weightSchema,
    usual: null,
    audience: 'shoppers',
    words: 'weight',
    column: 'plain',
    makers: 'propose',
    part: 'delivery',
    told: 'weight',
  },
  size: {
    stored: packageSizeSchema.nullable(),
    usual: null,
    audience: 'shoppers',
    words: 'package size',
    column: 'json',
    part: 'delivery',
  },
  packageType: {
    stored: packageTypeSchema,
    usual: '',
    audience: 'shoppers',
    words: 'package',
    column: 'plain',
    part: 'delivery',
  },
  dispatchDays: {
    stored: dispatchDaysSchema,
    usual: null,
    audience: 'shoppers',
    words: 'days to dispatch',
    column: 'plain',
    part: 'delivery',
  },
  /** under which customs know such goods; '' when it is not known */
  customsCode: {
    stored: z.string(),
    typed: customsCodeSchema,
    usual: '',
    audience: 'seller',
    words: 'customs code',
    column: 'plain',
    makers: 'propose',
    part: 'delivery',
  },
});
export type VariantFields = typeof variantFields;
