import { filmUrl } from '../../../model/film';
import type { PictureView } from '../../views';
import { placedPicture } from '../place-goods';
import { saysOnly, type SectionPart } from './section-part';

interface FilmView {
  kind: 'film';
  title: string;
  /** null while there is none */
  url: string | null;
  captions: string | null;
  poster: PictureView | null;
  caption: string;
}

export const film: SectionPart<'film', FilmView> = {
  view: (_shop, { title, film: name, captions, poster, caption }) => ({
    kind: 'film',
    title,
    url: name && filmUrl(name),
    captions: captions && filmUrl(captions),
    poster: poster && placedPicture(poster),
    caption,
  }),
  title: (_shop, { title, caption }) => title || caption,
  summary: (_shop, { film: name, captions }) =>
    saysOnly(
      'film',
      name === null
        ? ['There is no film in it yet, so shoppers see nothing here.']
        : captions === null
          ? ['It has no captions for those who hear nothing.']
          : [],
    ),
  fields: (_shop, { title, film: name, captions, poster, caption }) => [
    ['Title', title],
    ['Film', name?.slice(0, 6) ?? ''],
    ['Captions', captions?.slice(0, 6) ?? ''],
    ['Picture before it plays', poster ? poster.alt || poster.media.slice(0, 6) : ''],
    ['Words below', caption],
  ],
};
