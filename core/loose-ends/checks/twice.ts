import { liveProducts, onProduct, sharing, type Check, type LooseEnd, type LooseScene } from '../check';
import { fold } from '../../shared/fold';
import type { Product } from '../../model/product';

/** Every product of a group that has something in common, with those it has it in common with. */
const each = (scene: LooseScene, groups: readonly Product[][], words: (others: string) => string): LooseEnd[] =>
  groups.flatMap((group) =>
    group.map((product) =>
      onProduct(
        scene,
        product,
        words(
          group
            .filter((other) => other !== product)
            .map(({ title }) => title)
            .join(', '),
        ),
      ),
    ),
  );

export const sameTitle: Check = {
  key: 'sameTitle',
  label: 'Same title as another',
  about: 'Shoppers cannot tell them apart, in listings or in search. Say what differs.',
  harm: 4,
  find: (scene) => {
    const groups = sharing(liveProducts(scene), ({ title }) => fold(title).trim());
    return groups.flatMap((group) => group.map((product) => onProduct(scene, product, `${group.length} of this name`)));
  },
};

/** Products with a variant that has the same code as a variant of another product, or of the same. */
function sharingCode(scene: LooseScene, code: 'sku' | 'barcode'): Product[][] {
  const variants = [...scene.products.values()].flatMap((product) =>
    product.variants.map((variant) => ({ product, value: variant[code].trim() })),
  );
  return sharing(variants, ({ value }) => fold(value)).map((group) => [
    ...new Set(group.map(({ product }) => product)),
  ]);
}

export const sameSku: Check = {
  key: 'sameSku',
  label: 'SKU used twice',
  about: 'Files and stock lists cannot tell which one is meant.',
  harm: 5,
  find: (scene) =>
    each(scene, sharingCode(scene, 'sku'), (others) => (others ? `also on ${others}` : 'on several of its variants')),
};

export const sameBarcode: Check = {
  key: 'sameBarcode',
  label: 'The same goods twice',
  about: 'A barcode belongs to one thing: merge the two, or put the barcode right.',
  harm: 5,
  find: (scene) =>
    each(scene, sharingCode(scene, 'barcode'), (others) =>
      others ? `same barcode as ${others}` : 'several of its variants have one barcode',
    ),
};
