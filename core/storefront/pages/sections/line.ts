import { saysOnly, type SectionPart } from './section-part';

interface LineView {
  kind: 'line';
  drawn: boolean;
}

export const line: SectionPart<'line', LineView> = {
  view: (_shop, { drawn }) => ({ kind: 'line', drawn }),
  title: () => '',
  summary: (_shop, { drawn }) => saysOnly(drawn ? 'a line' : 'room'),
  fields: (_shop, { drawn }) => [['Line', drawn ? 'drawn' : 'only room']],
};
