import type { PageData } from './data';
import { partsOf, provideParts, type PartName, type Parts } from './parts';

const loads: { [Name in PartName]: () => Promise<Pick<Parts, Name>> } = {
  page: () => import('./home/page-body').then(({ PageBody }) => ({ page: PageBody })),
  listing: () => import('./listing/listing-page').then(({ ListingPage }) => ({ listing: ListingPage })),
  product: () => import('./product/product-page').then(({ ProductPage }) => ({ product: ProductPage })),
  sections: () => import('./home/sections/sections').then(({ Sections }) => ({ sections: Sections })),
};

/** Loads what a page is drawn from, each part once. */
export async function loadParts(page: PageData): Promise<void> {
  await Promise.all(partsOf(page).map(async (name) => provideParts(await loads[name]())));
}
