import type { SectionOf } from '../../../model/sections/sections';
import { countWords } from '../../../shared/count-words';
import type { PictureView } from '../../views';
import { placedPicture } from '../place-goods';
import { linkView } from '../targets';
import { saysOnly, type SectionPart } from './section-part';

interface PicturesView extends Pick<SectionOf<'pictures'>, 'columns' | 'shape'> {
  kind: 'pictures';
  title: string;
  pictures: { picture: PictureView; caption: string; url: string | null }[];
}

export const pictures: SectionPart<'pictures', PicturesView> = {
  view: (shop, { title, pictures, columns, shape }) => ({
    kind: 'pictures',
    title,
    columns,
    shape,
    pictures: pictures.map(({ picture, caption, to }) => ({
      picture: placedPicture(picture),
      caption,
      url: (to && linkView(shop, to, '')?.url) ?? null,
    })),
  }),
  title: (_shop, { title }) => title,
  layout: ({ columns }) => ({ columns, isRow: false }),
  links: (_shop, { pictures }) => pictures.flatMap(({ to }) => to ?? []),
  summary: (_shop, { pictures }) =>
    saysOnly(
      countWords(pictures.length, 'picture', 'pictures'),
      pictures.length === 0
        ? ['There is no picture in it yet.']
        : pictures.some(({ picture }) => picture.alt === '')
          ? ['A picture has no words for those who cannot see it.']
          : [],
    ),
  fields: (_shop, { title, pictures, columns, shape }) => [
    ['Title', title],
    [
      'Pictures',
      pictures.map(({ picture, caption }) => caption || picture.alt || picture.media.slice(0, 6)).join(', '),
    ],
    ['Columns', String(columns)],
    ['Shape', shape],
  ],
};
