import type { SectionOf } from '../../../model/sections/sections';
import { countWords } from '../../../shared/count-words';
import { plainText } from '../../../shared/plain-text';
import { linksInHtml } from '../targets';
import { saysOnly, type SectionPart } from './section-part';

type QuestionsView = Pick<SectionOf<'questions'>, 'kind' | 'title' | 'questions'>;

export const questions: SectionPart<'questions', QuestionsView> = {
  view: (_shop, { title, questions }) => ({ kind: 'questions', title, questions }),
  title: (_shop, { title, questions }) => title || (questions[0]?.question ?? ''),
  links: (_shop, { questions }) => questions.flatMap(({ html }) => linksInHtml(html)),
  summary: (_shop, { questions }) =>
    saysOnly(
      countWords(questions.length, 'question', 'questions'),
      questions.some(({ question, html }) => question === '' || plainText(html) === '')
        ? ['A question or an answer is missing.']
        : [],
    ),
  fields: (_shop, { title, questions }) => [
    ['Title', title],
    ['Questions', questions.map(({ question, html }) => `${question} ${plainText(html)}`).join('; ')],
  ],
};
