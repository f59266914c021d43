import type { SectionOf } from '../../../model/sections/sections';
import { saysOnly, type SectionPart } from './section-part';

type SubscribeView = Pick<SectionOf<'subscribe'>, 'kind' | 'title' | 'text' | 'button' | 'thanks'>;

export const subscribe: SectionPart<'subscribe', SubscribeView> = {
  view: (_shop, { title, text, button, thanks }) => ({ kind: 'subscribe', title, text, button, thanks }),
  title: (_shop, { title }) => title,
  summary: () => saysOnly('note to subscribe'),
  fields: (_shop, { title, text, button, thanks }) => [
    ['Title', title],
    ['Text', text],
    ['Button', button],
    ['Thanks', thanks],
  ],
};
