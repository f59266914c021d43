import { mediaUrl, offeredSizes } from '../../core/storefront/picture-sizes';
import type { FrameView } from '../../core/storefront/frame-view';

/** The logo of the shop, or its name where it has none. */
export function ShopSign({ shop, isOnDark = false }: { shop: FrameView; isOnDark?: boolean }) {
  const logo = isOnDark ? (shop.logoOnDark ?? shop.logo) : shop.logo;
  if (!logo) return shop.name;
  const height = shop.logoHeight!;
  const width = Math.round((height * logo.width) / logo.height);
  const sizes = offeredSizes({ ...logo, fit: 'fits' }, logo.width / logo.height, width);
  return (
    <img
      src={mediaUrl(logo.media, sizes.at(-1)!.size)}
      alt={logo.alt}
      width={width}
      height={height}
      className="inline-block h-auto max-w-[60vw] object-contain"
      style={{ maxHeight: height }}
    />
  );
}
