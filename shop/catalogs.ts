import { languagePart } from '../core/shared/language-part';
import type { PageKey } from './tongue';
import type { Spoken } from '../core/languages/fixed/say';

type PageCatalog = Readonly<Record<PageKey, Spoken>>;

/** By the beginning of a locale: how a browser loads its fixed words. Those of English come with the shop itself. */
const loads: Readonly<Record<string, () => Promise<PageCatalog>>> = {
  de: () => import('../core/languages/fixed/pages-de').then(({ pagesGerman }) => pagesGerman),
};

/** The file of each, by which the server finds the script that was built of it. */
export const catalogFiles: Readonly<Record<string, string>> = { de: 'core/languages/fixed/pages-de.ts' };

/** The fixed words of a language; undefined where English ones stand in. */
export const loadCatalog = (locale: string): Promise<PageCatalog> | undefined => loads[languagePart(locale)]?.();
