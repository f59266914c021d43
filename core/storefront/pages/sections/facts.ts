import type { SectionOf } from '../../../model/sections/sections';
import { countWords } from '../../../shared/count-words';
import { saysOnly, type SectionPart } from './section-part';

type FactsView = Pick<SectionOf<'facts'>, 'kind' | 'title' | 'facts'>;

export const facts: SectionPart<'facts', FactsView> = {
  view: (_shop, { title, facts }) => ({ kind: 'facts', title, facts }),
  title: (_shop, { title, facts }) => title || (facts[0]?.title ?? ''),
  summary: (_shop, { facts }) =>
    saysOnly(
      countWords(facts.length, 'fact', 'facts'),
      facts.length === 0 ? ['There is no fact in it yet, so shoppers see nothing here.'] : [],
    ),
  fields: (_shop, { title, facts }) => [
    ['Title', title],
    [
      'Facts',
      facts
        .map(({ icon, title, words }) => [title, words, icon === 'none' ? '' : icon].filter(Boolean).join(', '))
        .join('; '),
    ],
  ],
};
