import { fold } from '../../shared/fold';
import { onProduct, sharing, type Check } from '../check';

/** What is left of a word when case, blanks and hyphens are no difference. */
const bare = (name: string) => fold(name).replace(/[^\p{L}\p{N}]/gu, '');

export const optionAlike: Check = {
  key: 'optionAlike',
  label: 'Option values written in two ways',
  about: 'Filters list them twice. Give both the same name.',
  harm: 3,
  find: (scene) => {
    const met = [...scene.products.values()].flatMap((product) =>
      product.options.flatMap(({ name, values }) =>
        values.map((value) => ({ product, option: fold(name), value: value.name })),
      ),
    );
    return sharing(met, ({ option, value }) => `${option} ${bare(value)}`).flatMap((group) => {
      const ways = [...new Set(group.map(({ value }) => value))];
      if (ways.length < 2) return [];
      const products = [...new Set(group.map(({ product }) => product))];
      return products.map((product) => onProduct(scene, product, ways.map((way) => `“${way}”`).join(' and ')));
    });
  },
};
