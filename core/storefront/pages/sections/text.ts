import { blanks, filledIn, openBlanks } from '../../../legal/blanks';
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
  view: ({ settings }, { title, html, columns }) => ({ kind: 'text', title, html: filledIn(html, settings), columns }),
  title: (_shop, { title, html }) => title || plainText(html).slice(0, 40),
  links: (_shop, { html }) => linksInHtml(html),
  summary: ({ settings }, { title, html, columns }) => {
    const open = openBlanks(html, settings).map((name) => blanks[name]);
    return saysOnly(columns > 1 ? `text in ${columns} columns` : 'text', [
      ...(title === '' && plainText(html) === '' && !html.includes('<img') ? ['There are no words in it.'] : []),
      ...(open.length > 0 ? [`The settings do not say yet: ${open.join(', ')}.`] : []),
    ]);
  },
  fields: (_shop, { title, html, columns }) => [
    ['Title', title],
    ['Text', plainText(html)],
    ['Columns', String(columns)],
  ],
};
