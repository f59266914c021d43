import { channels } from '../../feeds/channels/channels';
import { liveProducts, onProduct, type Check } from '../check';

export const noBarcode: Check = {
  key: 'noBarcode',
  label: 'No barcode, though a channel wants one',
  about: 'The channel refuses goods without it.',
  harm: 3,
  find: (scene) => {
    const asking = [...scene.shop.main.feeds.values()].flatMap(
      ({ channel }) => channels.find(({ key }) => key === channel)?.name ?? [],
    );
    if (asking.length === 0) return [];
    return liveProducts(scene).flatMap((product) => {
      const without = product.variants.filter(({ barcode }) => barcode === '').length;
      return without === 0 ? [] : [onProduct(scene, product, `${without} of ${product.variants.length} variants`)];
    });
  },
};
