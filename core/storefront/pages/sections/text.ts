import { plainText } from '../../../shared/plain-text';
import { linksInHtml } from '../targets';
import { saysOnly, type SectionPart } from './section-part';

interface TextView {
  kind: 'text';
  title: string;
  html: string;
  columns: 1 | 2 | 3;
}

export const text: SectionPart<'text', TextView> = {
  view: (_shop, { title, html, columns }) => ({ kind: 'text', title, html, columns }),
  title: (_shop, { title, html }) => title || plainText(html).slice(0, 40),
  links: (_shop, { html }) => linksInHtml(html),
  summary: (_shop, { title, html, columns }) =>
    saysOnly(
      columns > 1 ? `text in ${columns} columns` : 'text',
      title === '' && plainText(html) === '' && !html.includes('<img') ? ['There are no words in it.'] : [],
    ),
  fields: (_shop, { title, html, columns }) => [
    ['Title', title],
    ['Text', plainText(html)],
    ['Columns', String(columns)],
  ],
};
