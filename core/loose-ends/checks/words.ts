import { liveProducts, onProduct, type Check } from '../check';
import { latinOf } from '../../shared/slug';

export const addressUnlike: Check = {
  key: 'addressUnlike',
  label: 'Address unlike the title',
  about: 'The address speaks of something else, as after a renaming. Another one forwards from the old.',
  harm: 1,
  find: (scene) =>
    liveProducts(scene).flatMap((product) => {
      const inSlug = new Set(product.slug.split('-'));
      const words = latinOf(product.title, scene.shop.settings.locale).split('-');
      const isLike = words.length === 0 || words.some((word) => word.length > 1 && inSlug.has(word));
      return isLike || words[0] === '' ? [] : [onProduct(scene, product, `/p/${product.slug}`)];
    }),
};

/** Letters of a title and a description that search engines show, as a rule. */
const MOST = { metaTitle: 60, metaDescription: 160 } as const;

export const longMeta: Check = {
  key: 'longMeta',
  label: 'Text too long for search engines',
  about: 'It is cut off where it is found. Say first what matters.',
  harm: 1,
  find: (scene) =>
    liveProducts(scene).flatMap((product) => {
      const long = (['metaTitle', 'metaDescription'] as const).filter((field) => product[field].length > MOST[field]);
      const words = long.map(
        (field) => `${field === 'metaTitle' ? 'title' : 'description'} of ${product[field].length}`,
      );
      return long.length > 0 ? [onProduct(scene, product, `${words.join(', ')} letters`)] : [];
    }),
};
