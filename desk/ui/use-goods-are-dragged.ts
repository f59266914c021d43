import { useEffect, useState } from 'react';
import { areGoods } from './goods-drag';

/** True while goods are being dragged anywhere, so that places that take them can come out. */
export function useGoodsAreDragged(): boolean {
  const [areDragged, setDragged] = useState(false);
  useEffect(() => {
    const begin = (event: globalThis.DragEvent) => setDragged(areGoods(event));
    const end = () => setDragged(false);
    window.addEventListener('dragstart', begin);
    window.addEventListener('dragend', end);
    window.addEventListener('drop', end);
    return () => {
      window.removeEventListener('dragstart', begin);
      window.removeEventListener('dragend', end);
      window.removeEventListener('drop', end);
    };
  }, []);
  return areDragged;
}
