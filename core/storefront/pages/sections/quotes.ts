import type { SectionOf } from '../../../model/sections/sections';
import { countWords } from '../../../shared/count-words';
import { saysOnly, type SectionPart } from './section-part';

type QuotesView = Pick<SectionOf<'quotes'>, 'kind' | 'title' | 'quotes'>;

export const quotes: SectionPart<'quotes', QuotesView> = {
  view: (_shop, { title, quotes }) => ({ kind: 'quotes', title, quotes }),
  title: (_shop, { title, quotes }) => title || (quotes[0] ? `“${quotes[0].words.slice(0, 32)}…”` : ''),
  summary: (_shop, { quotes }) =>
    saysOnly(
      countWords(quotes.length, 'quote', 'quotes'),
      quotes.length === 0 ? ['There is no quote in it yet, so shoppers see nothing here.'] : [],
    ),
  fields: (_shop, { title, quotes }) => [
    ['Title', title],
    [
      'Quotes',
      quotes.map(({ words, who, stars }) => `“${words}” ${who}${stars === null ? '' : `, ${stars} of 5`}`).join('; '),
    ],
  ],
};
