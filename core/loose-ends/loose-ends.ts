import type { RuleNode } from '../model/rule';

/** Something about a product that is unfinished or odd: found by a rule like any other, so that it can narrow the goods. */
export interface LooseEnd {
  key: string;
  label: string;
  /** what the rule of such products asks for */
  node: RuleNode;
}

/** All that can be loose on a product, the most pressing first. */
export const looseEnds: readonly LooseEnd[] = [
  {
    key: 'nowhere',
    label: 'Live, but shows nowhere',
    node: {
      match: 'all',
      of: [
        { field: 'status', is: 'anyOf', value: ['live'] },
        { field: 'places', is: 'equals', value: 0 },
      ],
    },
  },
  { key: 'belowCost', label: 'Sold below cost', node: { field: 'margin', is: 'below', value: 0 } },
  { key: 'noPrice', label: 'No price', node: { field: 'price', is: 'equals', value: 0 } },
  {
    key: 'featuredSoldOut',
    label: 'Featured, but sold out',
    node: {
      match: 'all',
      of: [
        { field: 'featured', is: 'yes', value: null },
        { field: 'status', is: 'anyOf', value: ['soldOut'] },
      ],
    },
  },
  { key: 'noPicture', label: 'No picture', node: { field: 'pictures', is: 'equals', value: 0 } },
  { key: 'noCategory', label: 'In no category', node: { field: 'category', is: 'empty', value: null } },
  { key: 'noDescription', label: 'No description', node: { field: 'description', is: 'empty', value: null } },
  { key: 'noCost', label: 'Cost not known', node: { field: 'cost', is: 'empty', value: null } },
  { key: 'noBrand', label: 'No brand', node: { field: 'brand', is: 'empty', value: null } },
];
