import clsx from 'clsx';
import { ImageOff } from 'lucide-react';
import { frameClass, frameStyle, type Frame } from './picture-frame';

interface Props {
  src: string | null;
  /** tells what it shows; empty where the words stand beside it */
  alt?: string;
  /** how it stands in the shop's frame; filled around its middle when not told */
  frame?: Frame | null;
  className?: string;
}

/** A small square picture of a product, or a quiet sign that there is none. */
export function Thumb({ src, alt = '', frame, className = 'size-9' }: Props) {
  if (!src)
    return (
      <span
        className={clsx(
          'flex shrink-0 items-center justify-center rounded-lg border border-dashed border-line bg-sunk text-ink-2',
          className,
        )}
        title="No picture"
      >
        <ImageOff size={14} aria-hidden="true" />
        <span className="sr-only">{alt} without a picture</span>
      </span>
    );
  return (
    <img
      src={src}
      alt={alt}
      loading="lazy"
      draggable={false}
      className={clsx('shrink-0 rounded-lg bg-sunk', frame ? frameClass(frame) : 'object-cover', className)}
      style={frame ? frameStyle(frame) : undefined}
    />
  );
}
