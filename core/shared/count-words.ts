/** "one product", "1,204 products": how many things there are, inside a sentence. */
export const countWords = (count: number, one: string, many: string): string =>
  count === 1 ? `one ${one}` : `${count.toLocaleString('en')} ${many}`;
