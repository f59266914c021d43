import { useEffect } from 'react';
import type { Typed } from '../../../contract/shop-window';
import { typedDrafts } from '../ui/typed-drafts';
import type { Autosave } from './autosave';
import { isUnsaved, type Values } from './step';

/** Draws what is typed into these fields in the shop window, before it is saved. `drawn` says what of it shoppers see. */
export function useDrawnDrafts(save: Autosave, drawn: (typed: Values) => Typed | null): void {
  useEffect(() => {
    let before: Values = {};
    const tell = () => {
      const open = Object.entries(save.progress().drafts).filter(([, draft]) => isUnsaved(draft));
      const values = Object.fromEntries(open.map(([key, { value }]) => [key, value]));
      const isSame =
        open.length === Object.keys(before).length && open.every(([key, { value }]) => before[key] === value);
      if (isSame) return;
      before = values;
      typedDrafts.set(save, open.length > 0 ? drawn(values) : null);
    };
    const stop = save.subscribe(tell);
    return () => {
      stop();
      typedDrafts.set(save, null);
    };
  }, [save, drawn]);
}
