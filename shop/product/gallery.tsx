import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useEffect, useLayoutEffect, useRef, type KeyboardEvent, type MouseEvent, type RefObject } from 'react';
import { LARGEST, mediaUrl } from '../../core/storefront/picture-sizes';
import type { ProductLayout } from '../../core/model/product-parts';
import type { ProductView } from '../../core/storefront/views';
import { Picture } from '../ui/picture';
import { useFrameRatio } from '../ui/card-look';
import { useReady } from '../ui/use-ready';
import { say } from '../tongue';

const SETTLED_MS = 150;

interface Props {
  pictures: ProductView['pictures'];
  /** id of the one that is looked at; the face when it is unknown */
  shown: string | null;
  show: (id: string) => void;
  arrangement?: ProductLayout['gallery'];
  /** it stays in sight while the words beside it are scrolled */
  stays?: boolean;
}

/** On a wide screen: classes of the whole, of the row of pictures, and of each. On a phone all of them are a row. */
const arrangements: Readonly<Record<ProductLayout['gallery'], { box: string; row: string; picture: string }>> = {
  small: { box: '', row: '', picture: '' },
  side: { box: 'lg:grid lg:grid-cols-[4.5rem_1fr] lg:items-start lg:gap-4', row: '', picture: '' },
  stack: {
    box: '',
    row: 'lg:flex-col lg:gap-4 lg:overflow-visible lg:rounded-none',
    picture: 'lg:overflow-hidden lg:rounded-3xl',
  },
  pairs: {
    box: '',
    row: 'lg:grid lg:grid-cols-2 lg:gap-4 lg:overflow-visible lg:rounded-none',
    picture: 'lg:overflow-hidden lg:rounded-3xl',
  },
};
const staying = 'lg:sticky lg:top-6';

const round =
  'absolute top-1/2 z-10 flex size-11 -translate-y-1/2 items-center justify-center rounded-full bg-paper/90 text-ink shadow-small hover:bg-paper';

const isPlain = (event: MouseEvent) => !(event.ctrlKey || event.metaKey || event.shiftKey || event.altKey);

/** The pictures of a product, or a frame that says there are none. */
export const Gallery = (props: Props) =>
  props.pictures.length > 0 ? (
    <PictureRow {...props} />
  ) : (
    <div className={`self-start overflow-hidden rounded-3xl ${props.stays === false ? '' : staying}`}>
      <Picture picture={null} sizes="" widest={640} />
    </div>
  );

/** Tells where a row of pictures stands still after it was scrolled, by a hand or by a button. */
function useStandsAt(row: RefObject<HTMLElement | null>, tell: (at: number) => void): void {
  const latest = useRef(tell);
  useEffect(() => {
    latest.current = tell;
  });
  useEffect(() => {
    const list = row.current!;
    let settling: ReturnType<typeof setTimeout> | undefined;
    const settle = () => latest.current(Math.round(list.scrollLeft / Math.max(1, list.clientWidth)));
    // Browsers that do not tell when scrolling ends are asked a moment after each step of it.
    const later = () => {
      clearTimeout(settling);
      settling = setTimeout(settle, SETTLED_MS);
    };
    const [event, hear] = 'onscrollend' in window ? (['scrollend', settle] as const) : (['scroll', later] as const);
    list.addEventListener(event, hear, { passive: true });
    return () => {
      clearTimeout(settling);
      list.removeEventListener(event, hear);
    };
  }, [row]);
}

/**
 * The pictures of a product: a row that is swiped, with a button to each side, and all of them small below. One opens
 * whole. Without script the row is scrolled, the small ones lead along it, and the large ones to their files.
 */
function PictureRow({ pictures, shown, show, arrangement = 'small', stays = true }: Props) {
  const classes = arrangements[arrangement];
  // Where all are in sight on a wide screen, nothing has to lead to the others.
  const onlyOnPhone = arrangement === 'stack' || arrangement === 'pairs' ? 'lg:hidden' : '';
  const row = useRef<HTMLUListElement>(null);
  const ratio = useFrameRatio();
  // Before the script has come, the one that is looked at stands first; then the row is scrolled to it instead.
  const isReady = useReady();
  const at = Math.max(
    0,
    pictures.findIndex(({ id }) => id === shown),
  );
  const step = (by: number) => show(pictures[(at + by + pictures.length) % pictures.length]!.id);
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined || pictures.length < 2) return;
    event.preventDefault();
    step(by);
  };
  useLayoutEffect(() => {
    const list = row.current;
    const target = list?.children[at] as HTMLElement | undefined;
    if (!list || !target || !isReady) return;
    const isStill = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    const isFar = Math.abs(list.scrollLeft - target.offsetLeft) > list.clientWidth * 1.5;
    list.scrollTo({ left: target.offsetLeft, behavior: isStill || isFar ? 'instant' : 'smooth' });
  }, [at, isReady]);
  useStandsAt(row, (now) => {
    if (now !== at && pictures[now]) show(pictures[now].id);
  });
  const openWhole = (event: MouseEvent) => {
    if (!isPlain(event)) return;
    event.preventDefault();
    void import('./whole-pictures').then(({ default: open }) => open(pictures, at, show));
  };
  return (
    <div
      role="group"
      aria-label={say('product.pictures')}
      onKeyDown={keys}
      className={`self-start ${stays ? staying : ''} ${classes.box}`}
    >
      <div className={`relative min-w-0 ${arrangement === 'side' ? 'lg:order-last' : ''}`}>
        <ul
          ref={row}
          className={`relative flex snap-x snap-mandatory overflow-x-auto overscroll-x-contain rounded-3xl [scrollbar-width:none] [&::-webkit-scrollbar]:hidden ${classes.row}`}
        >
          {pictures.map((each, i) => (
            <li
              key={each.id}
              id={`picture-${each.id}`}
              className={`w-full shrink-0 snap-center ${classes.picture} ${!isReady && i === at ? 'order-first' : ''}`}
            >
              <a
                href={mediaUrl(each.media, LARGEST)}
                aria-label={say('product.wholePicture', { at: i + 1, alt: each.alt })}
                tabIndex={i === at ? undefined : -1}
                onClick={openWhole}
                className="block cursor-zoom-in rounded-3xl focus-visible:outline-offset-[-4px]"
              >
                <Picture
                  picture={each}
                  sizes="(min-width: 1024px) 640px, 100vw"
                  widest={640}
                  ratio={ratio}
                  eager={i === at && 'first'}
                />
              </a>
            </li>
          ))}
        </ul>
        {pictures.length > 1 && isReady && (
          <>
            <button
              type="button"
              aria-label={say('product.previousPicture')}
              onClick={() => step(-1)}
              className={`${round} left-3 ${onlyOnPhone}`}
            >
              <ChevronLeft size={20} aria-hidden="true" />
            </button>
            <button
              type="button"
              aria-label={say('product.nextPicture')}
              onClick={() => step(1)}
              className={`${round} right-3 ${onlyOnPhone}`}
            >
              <ChevronRight size={20} aria-hidden="true" />
            </button>
          </>
        )}
      </div>
      {pictures.length > 1 && (
        <>
          <p role="status" className="sr-only">
            {isReady && say('product.picture', { at: at + 1, count: pictures.length })}
          </p>
          <ul
            className={`mt-4 grid grid-cols-5 gap-3 ${onlyOnPhone} ${arrangement === 'side' ? 'lg:mt-0 lg:grid-cols-1' : ''}`}
          >
            {pictures.map((each, i) => (
              <li key={each.id}>
                <a
                  href={`#picture-${each.id}`}
                  aria-label={say('product.showPicture', { at: i + 1, alt: each.alt })}
                  aria-current={i === at ? 'true' : undefined}
                  onClick={(event) => {
                    if (!isPlain(event)) return;
                    event.preventDefault();
                    show(each.id);
                  }}
                  className="block overflow-hidden rounded-xl ring-ink ring-offset-2 aria-[current]:ring-2"
                >
                  <Picture picture={{ ...each, alt: '' }} sizes="120px" widest={120} ratio={ratio} />
                </a>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
