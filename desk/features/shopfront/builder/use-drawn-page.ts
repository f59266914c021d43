import { useEffect, useRef, useState } from 'react';
import { onShopChanged } from '../../../data/live-updates';
import { drawPage, type PageDraft, type SectionNote } from '../../../data/shopfront';
import { typedDrafts } from '../../../shared/ui/typed-drafts';

/**
 * Has a page drawn as it is being built, with each change at once: the shop window shows it, and what each section shows is
 * told. One drawing is on its way at a time; what changed meanwhile goes next.
 */
export function useDrawnPage(id: string, draft: PageDraft): SectionNote[] | undefined {
  const [notes, setNotes] = useState<SectionNote[]>();
  const latest = useRef(draft);
  const wake = useRef<() => void>(() => undefined);
  useEffect(() => {
    const holder = {};
    const stop = new AbortController();
    let isBusy = false;
    let isWanted = false;
    const draw = async () => {
      isWanted = true;
      if (isBusy) return;
      isBusy = true;
      while (isWanted && !stop.signal.aborted) {
        isWanted = false;
        try {
          const drawn = await drawPage(id, latest.current, stop.signal);
          if (stop.signal.aborted) return;
          setNotes(drawn.notes);
          typedDrafts.set(holder, { of: 'page', id, drawn: drawn.page });
        } catch {
          // What cannot be drawn yet stays as it was drawn last; why it cannot be saved stands at its field.
        }
      }
      isBusy = false;
    };
    wake.current = () => void draw();
    const stopListening = onShopChanged(wake.current);
    return () => {
      stop.abort();
      stopListening();
      typedDrafts.set(holder, null);
    };
  }, [id]);
  useEffect(() => {
    latest.current = draft;
    wake.current();
  }, [draft]);
  return notes;
}
