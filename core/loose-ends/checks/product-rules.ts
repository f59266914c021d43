import type { RuleNode } from '../../model/rule';
import { onProduct, type Check } from '../check';

/** A check that a rule of products says by itself. */
const byRule = (check: Omit<Check, 'find' | 'node'> & { node: RuleNode }): Check & { node: RuleNode } => ({
  ...check,
  find: (scene) =>
    scene.matching(check.node).flatMap((id) => {
      const product = scene.products.get(id);
      return product ? [onProduct(scene, product)] : [];
    }),
});

/** What a rule of products can find, the most pressing first. */
export const productChecks = [
  byRule({
    key: 'nowhere',
    label: 'Live, but shows nowhere',
    about: 'Shoppers can buy it, but no listing or page shows it. Put it into a category or on a page.',
    harm: 6,
    node: {
      match: 'all',
      of: [
        { field: 'status', is: 'anyOf', value: ['live'] },
        { field: 'places', is: 'equals', value: 0 },
      ],
    },
  }),
  byRule({
    key: 'belowCost',
    label: 'Sold below cost',
    about: 'Each piece that is sold costs you money. Raise the price, or put the cost right.',
    harm: 9,
    node: { field: 'margin', is: 'below', value: 0 },
  }),
  byRule({
    key: 'noPrice',
    label: 'No price',
    about: 'It would be given away. Type a price, or say that it is told on request.',
    harm: 10,
    node: { field: 'price', is: 'equals', value: 0 },
  }),
  byRule({
    key: 'featuredSoldOut',
    label: 'Featured, but sold out',
    about: 'A place in front is taken by what nobody can buy. Feature something else.',
    harm: 5,
    node: {
      match: 'all',
      of: [
        { field: 'featured', is: 'yes', value: null },
        { field: 'status', is: 'anyOf', value: ['soldOut'] },
      ],
    },
  }),
  byRule({
    key: 'noPicture',
    label: 'No picture',
    about: 'Few buy what they cannot see.',
    harm: 7,
    node: { field: 'pictures', is: 'equals', value: 0 },
  }),
  byRule({
    key: 'noCategory',
    label: 'In no category',
    about: 'It is met by search and links only.',
    harm: 4,
    node: { field: 'category', is: 'empty', value: null },
  }),
  byRule({
    key: 'noDescription',
    label: 'No description',
    about: 'Shoppers and search engines learn nothing of it.',
    harm: 3,
    node: { field: 'description', is: 'empty', value: null },
  }),
  byRule({
    key: 'noCost',
    label: 'Cost not known',
    about: 'Without its cost, margins and floors of offers are unknown.',
    harm: 2,
    node: { field: 'cost', is: 'empty', value: null },
  }),
  byRule({
    key: 'noBrand',
    label: 'No brand',
    about: 'It is not met where shoppers narrow by brand.',
    harm: 1,
    node: { field: 'brand', is: 'empty', value: null },
  }),
];
