import type { FrameView } from '../../core/storefront/frame-view';
import { useHref } from '../base';

/** The seller's line at the top of every page, where there is one. */
export function NoticeLine({ shop: { notice } }: { shop: FrameView }) {
  const href = useHref();
  if (!notice) return null;
  return (
    <p className="break-words bg-deep px-4 py-2 text-center text-sm text-white">
      {notice.url === null ? (
        notice.text
      ) : (
        <a href={href(notice.url)} className="underline underline-offset-4">
          {notice.text}
        </a>
      )}
    </p>
  );
}
