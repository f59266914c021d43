import { createContext, useContext, useEffect } from 'react';

/** An edition that the shop window shows. */
interface ShownEdition {
  /** its number, or the id of its plan */
  id: string;
  words: string;
  /** at this moment (UTC), with the offers, sales and days of then; without one, of now */
  moment?: string;
}

export interface WindowState {
  /** page of the storefront that belongs to what is open */
  path: string;
  setPath: (path: string) => void;
  /** words below the picture of the shop */
  note: string | null;
  setNote: (note: string | null) => void;
  /** why shoppers cannot see what is shown */
  unseen: string | null;
  setUnseen: (words: string | null) => void;
  /** the shop is shown as it will be at this moment (UTC); null for now */
  moment: string | null;
  setMoment: (moment: string | null) => void;
  /** the shop is shown as another edition has it, or will have it: by number, or by the id of its plan; null for the working copy */
  edition: ShownEdition | null;
  setEdition: (edition: ShownEdition | null) => void;
  /** what is on screen is the shop itself */
  setTaken: (isTaken: boolean) => void;
}

/** Where no shop window is beside. */
export const noWindow: WindowState = {
  path: '/',
  setPath: () => undefined,
  note: null,
  setNote: () => undefined,
  unseen: null,
  setUnseen: () => undefined,
  moment: null,
  setMoment: () => undefined,
  edition: null,
  setEdition: () => undefined,
  setTaken: () => undefined,
};

export const WindowContext = createContext<WindowState>(noWindow);

/** Where the shop window shows the shop: as it is now, at a moment to come, or as an edition has it. */
export const previewBase = (moment: string | null, edition: WindowState['edition'] = null): string => {
  const shown = edition ? `/preview/edition/${edition.id}` : '/preview';
  const at = edition ? edition.moment : moment;
  return at ? `${shown}/on/${at.slice(0, 'yyyy-mm-ddThh:mm'.length)}Z` : shown;
};

/** No shop window beside this: it shows the shop itself. */
export function useWindowTaken(): void {
  const { setTaken } = useContext(WindowContext);
  useEffect(() => {
    setTaken(true);
    return () => setTaken(false);
  }, [setTaken]);
}

/** Turns the shop window to a page of the storefront while this is on screen. */
export function useShopWindow(
  path: string | undefined,
  note: string | null = null,
  /** why shoppers cannot see it, where that is so */
  unseen: string | null = null,
): void {
  const { setPath, setNote, setUnseen } = useContext(WindowContext);
  useEffect(() => {
    setUnseen(unseen);
    return () => setUnseen(null);
  }, [unseen, setUnseen]);
  useEffect(() => {
    if (path !== undefined) setPath(path);
  }, [path, setPath]);
  useEffect(() => {
    setNote(note);
    return () => setNote(null);
  }, [note, setNote]);
}
