/** @jsxImportSource preact */
import { offeredSizes } from '../../core/storefront/picture-sizes';
import type { PictureView } from '../../core/storefront/views';

/** A picture in the sizes that are worth offering for a frame that is at most so many pixels wide. */
export function Picture({ picture, origin, widest }: { picture: PictureView; origin: string; widest: number }) {
  const sizes = offeredSizes(picture, 1, widest);
  const at = ({ size }: (typeof sizes)[number]) => `${origin}/media/${picture.media}/${size}.webp`;
  return (
    <img
      src={at(sizes[0]!)}
      srcset={sizes.map((each) => `${at(each)} ${each.width}w`).join(', ')}
      sizes={`${widest}px`}
      alt={picture.alt}
      loading="lazy"
      decoding="async"
      class={picture.fit}
      style={{ objectPosition: `${picture.focus.x * 100}% ${picture.focus.y * 100}%`, background: picture.background }}
    />
  );
}
