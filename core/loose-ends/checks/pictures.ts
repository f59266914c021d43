import { liveProducts, onProduct, type Check } from '../check';

/** Shorter side, in pixels, below which a picture is blurred where it is seen whole. */
const SMALL = 800;

export const smallPicture: Check = {
  key: 'smallPicture',
  label: 'Small picture',
  about: 'It is blurred where shoppers look closely. Take one of at least 800 pixels.',
  harm: 3,
  find: (scene) =>
    liveProducts(scene).flatMap((product) => {
      const [face] = product.pictures;
      if (!face || Math.min(face.width, face.height) >= SMALL) return [];
      return [onProduct(scene, product, `${face.width} × ${face.height} pixels`)];
    }),
};

export const noAlt: Check = {
  key: 'noAlt',
  label: 'Picture without alt text',
  about: 'Who cannot see it is told nothing, and search engines neither.',
  harm: 2,
  find: (scene) =>
    liveProducts(scene).flatMap((product) => {
      const without = product.pictures.filter(({ alt }) => alt.trim() === '').length;
      if (without === 0) return [];
      return [onProduct(scene, product, `${without} of ${product.pictures.length}`)];
    }),
};
