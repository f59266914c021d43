interface News {
  /** such as 2026-11-29 */
  day: string;
  words: string;
  to: string;
}

/** What is new, the latest first: for those who know what was there before. */
export const news: readonly News[] = [
  {
    day: '2026-11-29',
    words: 'Suppliers: delivery times, costs by day, and what to order before it runs out.',
    to: '/suppliers',
  },
  {
    day: '2026-11-29',
    words: 'Those who make your goods can propose changes, which you take or refuse.',
    to: '/proposals',
  },
  {
    day: '2026-11-29',
    words: 'You see where others are at work and what they have not saved; and everywhere you are signed in.',
    to: '/shopfront?view=settings&part=people',
  },
  { day: '2026-11-29', words: 'This help, with a search and a tour. The key ? opens it on every desk.', to: '/goods' },
  { day: '2026-11-28', words: 'Today is the first page: what sells, what runs out, what is unfinished.', to: '/today' },
  { day: '2026-11-28', words: 'Changes can be held back, and editions planned and compared.', to: '/review' },
  { day: '2026-11-28', words: 'Loose ends: 29 checks of what is unfinished or odd.', to: '/loose-ends' },
  { day: '2026-11-27', words: 'The shop speaks several languages; Words shows what is missing.', to: '/words' },
];

const SEEN = 'dispona.news';

/** True while there is something newer than what this browser was shown. */
export const hasNews = (): boolean => (localStorage.getItem(SEEN) ?? '') < news[0]!.day;

export const noteNewsSeen = (): void => localStorage.setItem(SEEN, news[0]!.day);
