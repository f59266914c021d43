import { refusals } from '../shared/refusals';
import type { Picture } from '../../core/model/product-values';
import { setPictures } from '../store/put-products';
import { newId } from '../shared/ids';
import type { StoredMedia } from '../media/picture-store';
import { clash, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';

const freshPicture = { focus: { x: 0.5, y: 0.5 } };

/** Puts a picture in the place of another, whose words and ties to variants it takes over. */
export function replacePicture(
  catalog: Catalog,
  user: UserId,
  id: string,
  pictureId: string,
  media: StoredMedia,
): void {
  const product = productOrRefuse(catalog, id);
  if (!product.pictures.some((picture) => picture.id === pictureId)) throw notFound(refusals.gone('picture'));
  catalog.journal.change({ did: 'pictureReplaced', title: product.title }, catalog.actor(user), () =>
    setPictures(
      catalog.db,
      id,
      product.pictures.map((picture) =>
        picture.id === pictureId ? { ...picture, ...media, focus: freshPicture.focus } : picture,
      ),
    ),
  );
}

export function addPictures(catalog: Catalog, user: UserId, id: string, media: readonly StoredMedia[]): void {
  const product = productOrRefuse(catalog, id);
  const { fit } = catalog.working.shop.settings.cards;
  const added = media.map((each) => ({ ...each, id: newId('picture'), alt: '', ...freshPicture, fit }));
  catalog.journal.change({ did: 'picturesAdded', title: product.title, count: added.length }, catalog.actor(user), () =>
    setPictures(catalog.db, id, [...product.pictures, ...added]),
  );
}

/** Order, words and focus of pictures; those left out go. Pictures added meanwhile by somebody else stay. */
export function changePictures(
  catalog: Catalog,
  user: UserId,
  id: string,
  { seen, pictures }: { seen: number; pictures: readonly Pick<Picture, 'id' | 'alt' | 'focus' | 'fit'>[] },
): void {
  const product = productOrRefuse(catalog, id);
  const known = new Map(product.pictures.map((picture) => [picture.id, picture]));
  const next = pictures.flatMap((wanted) => {
    const picture = known.get(wanted.id);
    return picture ? [{ ...picture, ...wanted, alt: wanted.alt.trim() }] : [];
  });
  const isStale = catalog.journal.columnsChangedSince(seen, `product:${id}`, 'picture').size > 0;
  if (isStale)
    throw clash([{ path: ['pictures'], message: refusals.changedBySomebody('pictures'), theirs: product.pictures }]);
  catalog.journal.change({ did: 'picturesChanged', title: product.title }, catalog.actor(user), () =>
    setPictures(catalog.db, id, next),
  );
}
