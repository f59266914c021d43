import { lazy, Suspense } from 'react';
import { useGoodsAreDragged } from '../../shared/ui/goods-drag';
import { useTrayContent } from '../../shared/tray-store';

const TrayBar = lazy(() => import('./tray-bar'));

/** The tray, while it holds anything, or while goods that could go into it are being dragged. */
export function Tray() {
  const { ids, matching } = useTrayContent();
  const areDragged = useGoodsAreDragged();
  if (ids.length === 0 && !matching && !areDragged) return null;
  return (
    <Suspense>
      <TrayBar />
    </Suspense>
  );
}
