import type { EmbedView } from '../../core/storefront/embed-view';
import type { EmbedBasket } from './basket';

/** What every part of the goods on another site needs. */
export interface EmbedShop {
  view: EmbedView;
  basket: EmbedBasket;
  /** where the shop is */
  origin: string;
}
