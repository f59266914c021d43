const format = new Intl.NumberFormat('en');

/** "1,204": a number of things as people read it. */
export const count = (n: number): string => format.format(n);

/** "1,204 variants", "1 variant". */
export const variants = (n: number): string => `${count(n)} ${n === 1 ? 'variant' : 'variants'}`;

/** "1,204 products", "1 product". */
export const products = (n: number): string => `${count(n)} ${n === 1 ? 'product' : 'products'}`;
