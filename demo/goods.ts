import { bundles } from './bundles';
import { firstGoods, type DemoProduct } from './lark-and-line';
import { moreGoods } from './more-goods';

/** Everything that Lark & Line sells; bundles last, for they are made of the others. */
export const products: DemoProduct[] = [
  ...firstGoods,
  ...moreGoods,
  ...bundles.map((bundle) => ({ ...bundle, kind: 'bundle' as const })),
];
