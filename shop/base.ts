import { createContext, useCallback, useContext } from 'react';

/** What stands before every address of the shop: "" where shoppers are, "/preview" in the shop window. */
export const BaseContext = createContext('');

export const useBase = () => useContext(BaseContext);

/** The address of a link as it is written in the page: those of the shop after the base, others as they are. */
export function useHref(): (url: string) => string {
  const base = useBase();
  return useCallback((url: string) => (url.startsWith('/') ? base + url : url), [base]);
}

/** The language of the page, as numbers are written in it. */
export const pageLocale = (): string => (typeof document === 'undefined' ? '' : document.documentElement.lang) || 'en';
