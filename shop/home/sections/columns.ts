/** Classes for so many columns: on wide screens, with fewer on those between. */
export const wideColumns: Readonly<Record<number, string>> = {
  1: '',
  2: 'md:grid-cols-2',
  3: 'md:grid-cols-3',
  4: 'md:grid-cols-3 lg:grid-cols-4',
  5: 'md:grid-cols-3 lg:grid-cols-5',
  6: 'md:grid-cols-4 lg:grid-cols-6',
};

/** The width of one card where rows are made of cards and not of columns: a last row can then be centred or stretched. */
export const wideCards: Readonly<Record<number, string>> = {
  2: 'md:basis-[calc((100%-1.5rem)/2)]',
  3: 'md:basis-[calc((100%-3rem)/3)]',
  4: 'md:basis-[calc((100%-3rem)/3)] lg:basis-[calc((100%-4.5rem)/4)]',
  5: 'md:basis-[calc((100%-3rem)/3)] lg:basis-[calc((100%-6rem)/5)]',
  6: 'md:basis-[calc((100%-4.5rem)/4)] lg:basis-[calc((100%-7.5rem)/6)]',
};
