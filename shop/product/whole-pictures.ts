import PhotoSwipe from 'photoswipe';
import 'photoswipe/style.css';
import { LARGEST, mediaUrl } from '../../core/storefront/picture-sizes';
import type { ProductView } from '../../core/storefront/views';

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
    closeTitle: 'Close',
    zoomTitle: 'Zoom',
    arrowPrevTitle: 'Previous picture',
    arrowNextTitle: 'Next picture',
    errorMsg: 'This picture could not be loaded.',
  });
  whole.on('change', () => tell(pictures[whole.currIndex]!.id));
  whole.init();
}
