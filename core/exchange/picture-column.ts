import type { Picture } from '../model/product-values';
import type { Product } from '../model/product';
import type { NewId } from '../products/merge-split';
import { BETWEEN, type ExchangeColumn } from './column';
import type { KnownPicture } from './known-picture';

/** The name by which a file tells a picture: without its folders, whatever wrote them, and without what addresses add. */
export const pictureName = (told: string): string =>
  decoded(told.replace(/[?#].*$/, ''))
    .replace(/^.*[/\\]/, '')
    .trim()
    .toLowerCase();

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/** Between names stand these; a comma only where no name that is known has one. */
const MARKS = /[;|\n]|,(?=\s*\S+\.[a-z]{3,4}\b)/i;

/** Pictures by the names of their files, the face of the product first. */
export const pictureColumn: ExchangeColumn = {
  key: 'pictures',
  field: 'pictures',
  label: 'Pictures',
  explains:
    'Names of pictures that come in one ZIP with the file, the face first, with semicolons between. Empty leaves them.',
  aliases: [
    'picture',
    'image',
    'images',
    'image url',
    'image src',
    'photo',
    'photos',
    'gallery',
    'bild',
    'bilder',
    'bilddatei',
    'foto',
    'fotos',
    'imagen',
    'imagenes',
  ],
  of: 'product',
  type: 'text',
  isNeeded: true,
  write: ({ pictures }) => pictures.map(({ media }) => `${media}.webp`).join(BETWEEN) || null,
  read: (text, { picture }) => {
    const found: KnownPicture[] = [];
    for (const told of text.split(MARKS)) {
      const name = pictureName(told);
      if (name === '') continue;
      const known = picture(name);
      if (!known)
        return { problem: `There is no picture “${name.slice(0, 80)}” with this file: bring both in one ZIP.` };
      if (!found.some(({ media }) => media === known.media)) found.push(known);
    }
    return { value: found };
  },
};

/** The pictures of a product after a file told them: those that it has keep their words and their place in the frame. */
export function toldPictures(base: Product, told: readonly KnownPicture[], newId: NewId): Picture[] {
  const pictures = told.map(
    (one): Picture =>
      base.pictures.find(({ media }) => media === one.media) ?? {
        ...one,
        id: newId('picture'),
        alt: '',
        focus: { x: 0.5, y: 0.5 },
        fit: 'fills',
      },
  );
  const isSame = pictures.length === base.pictures.length && pictures.every((each, i) => each === base.pictures[i]);
  return isSame ? base.pictures : pictures;
}
