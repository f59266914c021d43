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

/** Light and dark that differ by less than this (standard deviation of the luminance, 0 to 127) make a picture pale. */
export const PALE = 12;

export const palePicture: Check = {
  key: 'palePicture',
  label: 'Picture without contrast',
  about: 'Hardly anything stands out in the face of the product. Take it before a darker or a lighter ground.',
  harm: 3,
  find: (scene) =>
    liveProducts(scene).flatMap((product) => {
      const [face] = product.pictures;
      return face && scene.pale.has(face.media) ? [onProduct(scene, product)] : [];
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
