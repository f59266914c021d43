import type { PictureView } from '../../core/storefront/views';
import { mediaUrl, pictureSizes } from '../../core/storefront/card';

interface Props {
  picture: PictureView | null;
  /** how wide it is drawn, as the sizes attribute says it */
  sizes: string;
  eager?: boolean;
  className?: string;
}

/** A picture in the shop's one frame: filling it around its focus point, or whole on its background. A quiet drawing for none. */
export function Picture({ picture, sizes, eager = false, className = '' }: Props) {
  if (!picture)
    return (
      <span className={`flex aspect-square w-full items-center justify-center bg-mist text-ink-soft ${className}`}>
        <svg
          viewBox="0 0 48 48"
          className="w-1/4"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
          aria-hidden="true"
        >
          <path d="M24 6 38 22 24 40 10 22ZM24 6v34M10 22h28" />
        </svg>
        <span className="sr-only">No picture yet</span>
      </span>
    );
  const { media, alt, focus, fit, background } = picture;
  const fits = fit === 'fits';
  return (
    <img
      src={mediaUrl(media, 480)}
      srcSet={pictureSizes.map((size) => `${mediaUrl(media, size)} ${size}w`).join(', ')}
      sizes={sizes}
      alt={alt}
      width={480}
      height={480}
      loading={eager ? 'eager' : 'lazy'}
      decoding="async"
      className={`aspect-square w-full bg-mist ${fits ? 'object-contain' : 'object-cover'} ${className}`}
      style={fits ? { backgroundColor: background } : { objectPosition: `${focus.x * 100}% ${focus.y * 100}%` }}
    />
  );
}
