import type { ComponentType } from 'react';
import type { PageData, ShopData } from './data';
import type { SectionsProps } from './home/sections/sections';

/** What the body of a page is drawn from. */
export interface BodyProps<Kind extends PageData['kind']> {
  page: Extract<PageData, { kind: Kind }>;
  data: ShopData;
  /** address that was asked for last; the page may still show the one before */
  url: string;
  /** shows another state of the page, or another page, without loading it */
  go: (url: string) => void;
}

/** The parts of the shop that only some pages need: each is a script of its own. */
export interface Parts {
  page: ComponentType<BodyProps<'page'>>;
  listing: ComponentType<BodyProps<'listing'>>;
  product: ComponentType<BodyProps<'product'>>;
  basket: ComponentType<BodyProps<'basket'>>;
  checkout: ComponentType<BodyProps<'checkout'>>;
  order: ComponentType<BodyProps<'order'>>;
  sections: ComponentType<SectionsProps>;
}
export type PartName = keyof Parts;

/** The file of each part, by which the server finds the script that was built of it. */
export const partFiles: Readonly<Record<PartName, string>> = {
  page: 'shop/home/page-body.tsx',
  listing: 'shop/listing/listing-page.tsx',
  product: 'shop/product/product-page.tsx',
  basket: 'shop/basket/basket-page.tsx',
  checkout: 'shop/basket/checkout-page.tsx',
  order: 'shop/basket/order-page.tsx',
  sections: 'shop/home/sections/sections.tsx',
};

const loaded: Partial<Parts> = {};

/** Makes parts known: the server all of them, a browser those that it has loaded. */
export const provideParts = (parts: Partial<Parts>): void => void Object.assign(loaded, parts);

/** A part that was loaded before anything was drawn. Throws where it was not. */
export function part<Name extends PartName>(name: Name): Parts[Name] {
  const found = loaded[name];
  if (!found) throw new Error(`The part "${name}" of the shop was not loaded.`);
  return found;
}

/** The parts that a page is drawn from. */
export function partsOf(page: PageData): PartName[] {
  switch (page.kind) {
    case 'page':
    case 'product':
    case 'basket':
    case 'checkout':
    case 'order':
      return [page.kind];
    case 'listing':
      return page.above.length + page.below.length > 0 ? ['listing', 'sections'] : ['listing'];
    case 'missing':
    case 'closed':
      return [];
  }
}
