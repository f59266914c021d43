import { useEffect, useState } from 'react';
import { isBuildingMessage, type BuildingEvent, type BuildingMessage } from '../../contract/shop-window';

/** Tells the desk around the page. */
export const tellDesk = (event: BuildingEvent): void => window.parent.postMessage(event, window.location.origin);

/** What the desk says of the page that is built here; null where nobody builds. */
export function useBuilding(isWindow: boolean): BuildingMessage | null {
  const [building, setBuilding] = useState<BuildingMessage | null>(null);
  useEffect(() => {
    if (!isWindow) return;
    const onMessage = ({ origin, data }: MessageEvent<unknown>) => {
      if (origin === window.location.origin && isBuildingMessage(data)) setBuilding(data);
    };
    window.addEventListener('message', onMessage);
    return () => window.removeEventListener('message', onMessage);
  }, [isWindow]);
  return building;
}
