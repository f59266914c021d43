import type { Slide } from '../../../model/sections/banner';
import { countWords } from '../../../shared/count-words';
import type { PictureView } from '../../views';
import { pictureFor } from '../place-goods';
import { linkView, linkWords, type LinkView } from '../targets';
import { saysOnly, type SectionPart } from './section-part';

interface SlideView {
  title: string;
  text: string;
  picture: PictureView | null;
  buttons: LinkView[];
}

interface BannerView {
  kind: 'banner';
  slides: SlideView[];
  place: 'beside' | 'behind' | 'above';
  height: 'low' | 'usual' | 'tall';
}

const places = { beside: 'beside the words', behind: 'behind the words', above: 'above the words' };

function warningsOf({ slides, place }: { slides: Slide[]; place: string }): string[] {
  const bare = slides.filter(({ title, text }) => title === '' && text === '').length;
  const dark = place === 'behind' && slides.some(({ picture, pictureOf }) => !picture && !pictureOf);
  return [
    ...(bare > 0 ? ['It says nothing: give it a heading.'] : []),
    ...(dark ? ['Words stand before a picture, and there is none.'] : []),
  ];
}

export const banner: SectionPart<'banner', BannerView> = {
  view: (shop, { slides, place, height }, { now }) => ({
    kind: 'banner',
    place,
    height,
    slides: slides.map(({ title, text, picture, pictureOf, buttons }) => ({
      title,
      text,
      picture: pictureFor(shop, picture, pictureOf, now),
      buttons: buttons.flatMap(({ words, to }) => linkView(shop, to, words) ?? []),
    })),
  }),
  title: (_shop, { slides }) => slides[0]?.title ?? '',
  links: (_shop, { slides }) => slides.flatMap(({ buttons }) => buttons.map(({ to }) => to)),
  summary: (_shop, section) =>
    saysOnly(
      section.slides.length > 1 ? `${countWords(section.slides.length, 'banner', 'banners')} in turn` : 'banner',
      warningsOf(section),
    ),
  fields: (shop, { slides, place, height }) => [
    ...slides.flatMap(({ title, text, picture, pictureOf, buttons }, i): [string, string][] => {
      const of = slides.length > 1 ? ` ${i + 1}` : '';
      return [
        [`Heading${of}`, title],
        [`Text${of}`, text],
        [
          `Picture${of}`,
          picture ? `own picture ${picture.media.slice(0, 6)}` : pictureOf ? linkWords(shop, pictureOf) : '',
        ],
        [
          `Buttons${of}`,
          buttons.map(({ words, to }) => `${words || linkWords(shop, to)} → ${linkWords(shop, to)}`).join(', '),
        ],
      ];
    }),
    ['Place of the picture', places[place]],
    ['Height', height],
  ],
};
