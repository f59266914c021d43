import type { PageData } from './data';
import { partsOf, provideParts, type PartName, type Parts } from './parts';

const loads: { [Name in PartName]: () => Promise<Pick<Parts, Name>> } = {
  page: () => import('./home/page-body').then(({ PageBody }) => ({ page: PageBody })),
  listing: () => import('./listing/listing-page').then(({ ListingPage }) => ({ listing: ListingPage })),
  product: () => import('./product/product-page').then(({ ProductPage }) => ({ product: ProductPage })),
  basket: () => import('./basket/basket-page').then(({ BasketPage }) => ({ basket: BasketPage })),
  checkout: () => import('./basket/checkout-page').then(({ CheckoutPage }) => ({ checkout: CheckoutPage })),
  order: () => import('./basket/order-page').then(({ OrderPage }) => ({ order: OrderPage })),
  sections: () => import('./home/sections/sections').then(({ Sections }) => ({ sections: Sections })),
};

/** Loads what a page is drawn from, each part once. */
export async function loadParts(page: PageData): Promise<void> {
  await Promise.all(partsOf(page).map(async (name) => provideParts(await loads[name]())));
}
