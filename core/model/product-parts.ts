/** The parts of a product page, and where each stands to begin with. */
export const productParts = {
  brand: { name: 'Brand', place: 'beside' },
  title: { name: 'Title', place: 'beside' },
  summary: { name: 'Summary', place: 'beside' },
  choice: { name: 'Price, versions and stock', place: 'beside' },
  sku: { name: 'SKU', place: 'beside' },
  delivery: { name: 'Delivery facts', place: 'beside' },
  promises: { name: 'Delivery and returns, in your words', place: 'beside' },
  trust: { name: 'Short facts', place: 'beside' },
  description: { name: 'Description', place: 'beside' },
  specs: { name: 'Specs', place: 'beside' },
  files: { name: 'Files', place: 'beside' },
  questions: { name: 'Ask a question', place: 'beside' },
  goesWith: { name: 'Goes with it', place: 'below' },
  stepUp: { name: 'A step up', place: 'below' },
  similar: { name: 'Similar', place: 'below' },
  seen: { name: 'Seen recently', place: 'below' },
} as const satisfies Record<string, { name: string; place: 'beside' | 'below' }>;
export type ProductPart = keyof typeof productParts;
export const partKeys = Object.keys(productParts) as [ProductPart, ...ProductPart[]];

/** Without these nobody could tell what it is, or have it. */
export const neededParts: ReadonlySet<ProductPart> = new Set<ProductPart>(['title', 'choice']);
/** Parts that can be folded behind their heading. */
export const foldable: ReadonlySet<ProductPart> = new Set<ProductPart>([
  'description',
  'specs',
  'files',
  'promises',
  'delivery',
]);

/** One part of a product page. */
export interface PartLayout {
  part: ProductPart;
  shown: boolean;
  /** beside the pictures, or below them across the page */
  place: 'beside' | 'below';
  /** behind its heading until it is wanted */
  folded: boolean;
}

/** How a product page is laid out. */
export interface ProductLayout {
  /** all parts, from the top */
  parts: PartLayout[];
  gallery: 'small' | 'side' | 'stack' | 'pairs';
  /** what stays in sight while the other side is scrolled */
  stays: 'pictures' | 'words' | 'none';
}

export const usualProductLayout: ProductLayout = {
  parts: partKeys.map((part) => ({ part, shown: true, place: productParts[part].place, folded: false })),
  gallery: 'small',
  stays: 'pictures',
};

/** Strips of goods need the width of the page. */
export const isStrip = (part: ProductPart): boolean => productParts[part].place === 'below';
