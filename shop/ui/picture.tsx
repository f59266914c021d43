import type { PictureView } from '../../core/storefront/views';
import { mediaUrl, offeredSizes } from '../../core/storefront/picture-sizes';
import { say } from '../tongue';

interface Props {
  picture: PictureView | null;
  /** how wide it is drawn, as the sizes attribute says it */
  sizes: string;
  /** how wide it is drawn at most, in pixels of the page: larger sizes are not offered */
  widest: number;
  /** width of its frame by height */
  ratio?: number;
  /** it is seen at once; "first" for those that are asked for before all others */
  eager?: boolean | 'first';
  className?: string;
}

/** A picture in the shop's one frame: filling it around its focus point, or whole on its background. A quiet drawing for none. */
export function Picture({ picture, sizes, widest, ratio = 1, eager = false, className = '' }: Props) {
  if (!picture)
    return (
      <span
        className={`flex w-full items-center justify-center bg-mist text-ink-soft ${className}`}
        style={{ aspectRatio: ratio }}
      >
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
        <span className="sr-only">{say('frame.noPicture')}</span>
      </span>
    );
  const { media, alt, focus, fit, background } = picture;
  const fits = fit === 'fits';
  const offered = offeredSizes(picture, ratio, widest);
  const usual = offered.find(({ width }) => width >= widest) ?? offered.at(-1)!;
  return (
    <img
      src={mediaUrl(media, usual.size)}
      srcSet={offered.map(({ size, width }) => `${mediaUrl(media, size)} ${width}w`).join(', ')}
      sizes={sizes}
      alt={alt}
      width={widest}
      height={Math.round(widest / ratio)}
      loading={eager ? 'eager' : 'lazy'}
      fetchPriority={eager === 'first' ? 'high' : undefined}
      decoding="async"
      className={`w-full bg-mist ${fits ? 'object-contain' : 'object-cover'} ${className}`}
      style={{
        aspectRatio: ratio,
        ...(fits ? { backgroundColor: background } : { objectPosition: `${focus.x * 100}% ${focus.y * 100}%` }),
      }}
    />
  );
}
