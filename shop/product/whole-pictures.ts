import PhotoSwipe from 'photoswipe';
import 'photoswipe/style.css';
import { LARGEST, mediaUrl } from '../../core/storefront/picture-sizes';
import type { ProductView } from '../../core/storefront/views';
import { say } from '../tongue';

type Pictures = ProductView['pictures'];

/** Opens the pictures whole, over the page: swiped, pinched, by keys. `tell` hears which one is looked at. */
export default function openWhole(pictures: Pictures, at: number, tell: (id: string) => void): void {
  const isStill = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
  const whole = new PhotoSwipe({
    dataSource: pictures.map(({ media, width, height, alt }) => {
      const scale = Math.min(1, LARGEST / Math.max(width, height));
      return {
        src: mediaUrl(media, LARGEST),
        width: Math.round(width * scale),
        height: Math.round(height * scale),
        alt,
      };
    }),
    index: at,
    bgOpacity: 0.92,
    wheelToZoom: true,
    showHideAnimationType: isStill ? 'none' : 'fade',
    zoomAnimationDuration: isStill ? false : 250,
    closeTitle: say('frame.close'),
    zoomTitle: say('product.zoom'),
    arrowPrevTitle: say('product.previousPicture'),
    arrowNextTitle: say('product.nextPicture'),
    errorMsg: say('product.pictureFailed'),
  });
  whole.on('change', () => tell(pictures[whole.currIndex]!.id));
  whole.init();
}
