import { plainText } from '../../../shared/plain-text';
import type { PictureView } from '../../views';
import { pictureFor } from '../place-goods';
import { linksInHtml, linkView, linkWords, type LinkView } from '../targets';
import { saysOnly, type SectionPart } from './section-part';

interface PictureTextView {
  kind: 'pictureText';
  title: string;
  html: string;
  picture: PictureView | null;
  side: 'left' | 'right';
  share: 'third' | 'half' | 'most';
  button: LinkView | null;
}

export const pictureText: SectionPart<'pictureText', PictureTextView> = {
  view: (shop, { title, html, picture, pictureOf, side, share, button }, { now }) => ({
    kind: 'pictureText',
    title,
    html,
    picture: pictureFor(shop, picture, pictureOf, now),
    side,
    share,
    button: (button && linkView(shop, button.to, button.words)) ?? null,
  }),
  title: (_shop, { title, html }) => title || plainText(html).slice(0, 40),
  links: (_shop, { html, button }) => [...linksInHtml(html), ...(button ? [button.to] : [])],
  summary: (_shop, { picture, pictureOf }) =>
    saysOnly('picture and text', picture || pictureOf ? [] : ['It has no picture yet.']),
  fields: (shop, { title, html, picture, pictureOf, side, share, button }) => [
    ['Title', title],
    ['Text', plainText(html)],
    ['Picture', picture ? `own picture ${picture.media.slice(0, 6)}` : pictureOf ? linkWords(shop, pictureOf) : ''],
    ['Place of the picture', `${side}, ${{ third: 'a third', half: 'half', most: 'most' }[share]} of the width`],
    ['Button', button ? `${button.words || linkWords(shop, button.to)} → ${linkWords(shop, button.to)}` : ''],
  ],
};
