import { createContext, useCallback, useContext } from 'react';

/** What stands before every address of the shop: "" where shoppers are, "/de" in another language, "/preview" in the shop window. */
export const BaseContext = createContext('');

export const useBase = () => useContext(BaseContext);

/** The shop window: the working copy, from which nothing is sold or sent. */
export const WindowContext = createContext(false);

export const useIsWindow = () => useContext(WindowContext);

/** The address of a link as it is written in the page: those of the shop after the base, others as they are. */
export function useHref(): (url: string) => string {
  const base = useBase();
  return useCallback((url: string) => (url.startsWith('/') ? base + url : url), [base]);
}

/** The language of the page, as numbers are written in it. */
export const pageLocale = (): string => (typeof document === 'undefined' ? '' : document.documentElement.lang) || 'en';
