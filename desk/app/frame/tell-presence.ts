import { useEffect } from 'react';
import { useLocation } from 'react-router';
import { tellPresence } from '../../data/presence';
import { unsaved } from '../../shared/autosave/unsaved';

/** Well before the server takes a tab for gone. */
const AGAIN_MS = 30_000;
/** While somebody types, what is not saved changes all the time. */
const SETTLE_MS = 700;
const MOST_FIELDS = 20;

/** Told apart by the server together with who is in it. */
const TAB = Math.random().toString(36).slice(2);
const title = () => document.title.replace(/ · Dispona$/, '');

/** Tells the others where this tab is and what is typed in it, as long as it is in sight. */
export function useTellPresence(): void {
  const { pathname } = useLocation();
  useEffect(() => {
    let last = '';
    const tell = (isAgain: boolean) => {
      if (document.hidden) return;
      const fields = [...new Set(unsaved.fields())].slice(0, MOST_FIELDS);
      const where = { tab: TAB, path: pathname, title: title().slice(0, 200), unsaved: fields };
      const text = JSON.stringify(where);
      if (!isAgain && text === last) return;
      last = text;
      // Nobody misses it: the next time is soon.
      tellPresence(where).catch(() => undefined);
    };
    let timer = setTimeout(() => tell(true), SETTLE_MS);
    const soon = () => {
      clearTimeout(timer);
      timer = setTimeout(() => tell(false), SETTLE_MS);
    };
    const stop = unsaved.subscribe(soon);
    const again = setInterval(() => tell(true), AGAIN_MS);
    document.addEventListener('visibilitychange', soon);
    return () => {
      clearTimeout(timer);
      clearInterval(again);
      document.removeEventListener('visibilitychange', soon);
      stop();
    };
  }, [pathname]);
  useEffect(() => {
    const leave = () => void tellPresence({ tab: TAB, path: '', title: '', unsaved: [] }).catch(() => undefined);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, []);
}
