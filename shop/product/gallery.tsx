import { useEffect, useRef, type KeyboardEvent } from 'react';
import type { ProductView } from '../../core/storefront/views';
import { Picture } from '../ui/picture';

interface Props {
  pictures: ProductView['pictures'];
  /** id of the large one; the face when it is unknown */
  shown: string | null;
  show: (id: string) => void;
}

/** The pictures of a product: one large, which opens whole, and all as a row. Left and right go from one to the next. */
export function Gallery({ pictures, shown, show }: Props) {
  const whole = useRef<HTMLDialogElement>(null);
  const at = Math.max(
    0,
    pictures.findIndex(({ id }) => id === shown),
  );
  const picture = pictures[at] ?? null;
  const row = useRef<HTMLUListElement>(null);
  const step = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined || pictures.length < 2) return;
    event.preventDefault();
    show(pictures[(at + by + pictures.length) % pictures.length]!.id);
  };
  useEffect(() => {
    if (row.current?.contains(document.activeElement))
      row.current.querySelectorAll('button')[at]?.focus({ preventScroll: true });
  }, [at]);
  return (
    <div role="group" aria-label="Pictures" onKeyDown={step} className="self-start lg:sticky lg:top-6">
      <button
        type="button"
        disabled={!picture}
        aria-label="See the whole picture"
        onClick={() => whole.current?.showModal()}
        className="block w-full cursor-zoom-in overflow-hidden rounded-3xl disabled:cursor-default"
      >
        <Picture picture={picture} sizes="(min-width: 1024px) 640px, 100vw" widest={640} eager="first" />
      </button>
      {pictures.length > 1 && (
        <ul ref={row} className="mt-4 grid grid-cols-5 gap-3">
          {pictures.map((each) => (
            <li key={each.id}>
              <button
                type="button"
                aria-label={`Show picture: ${each.alt}`}
                aria-pressed={each === picture}
                onClick={() => show(each.id)}
                className="block w-full overflow-hidden rounded-xl ring-ink ring-offset-2 aria-pressed:ring-2"
              >
                <Picture picture={{ ...each, alt: '' }} sizes="120px" widest={120} />
              </button>
            </li>
          ))}
        </ul>
      )}
      {picture && (
        // Escape closes a dialog by itself.
        // eslint-disable-next-line jsx-a11y/click-events-have-key-events
        <dialog
          ref={whole}
          aria-label={picture.alt}
          onClick={() => whole.current?.close()}
          className="m-auto h-[96dvh] w-[96vw] max-w-none bg-transparent backdrop:bg-black/70"
        >
          <img
            src={`/media/${picture.media}/1600.webp`}
            alt={picture.alt}
            width={picture.width}
            height={picture.height}
            loading="lazy"
            className="h-full w-full object-contain"
          />
          <button
            type="button"
            aria-label="Close the picture"
            className="absolute right-3 top-3 rounded-full bg-white px-4 py-2 text-sm font-semibold text-ink"
          >
            Close
          </button>
        </dialog>
      )}
    </div>
  );
}
