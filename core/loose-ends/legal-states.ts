import { openBlanks, type Blank } from '../legal/blanks';
import { legalKeys, legalPages, type LegalKey } from '../legal/legal-pages';
import type { MenuItem } from '../model/menu';
import type { Page } from '../model/page';
import type { Shop } from '../shop/shop';

/** How far a legal page is. */
export interface LegalState {
  key: LegalKey;
  /** the page at its address; undefined where there is none */
  page: Page | undefined;
  /** the foot of the shop leads to it */
  isAtFoot: boolean;
  /** what the settings do not say yet that it needs, or would need */
  open: Blank[];
}

const leadsTo = (items: readonly MenuItem[], id: string): boolean =>
  items.some(({ target, items: below }) => (target?.kind === 'page' && target.id === id) || leadsTo(below, id));

/** The words of a page, of all texts on it. */
const textOf = ({ sections }: Page): string =>
  sections.map((section) => (section.kind === 'text' ? section.html : '')).join(' ');

/** Which legal pages there are, whether the foot leads to them, and what they lack. */
export function legalStates({ pages, menu, settings }: Shop): LegalState[] {
  return legalKeys.map((key) => {
    const { slug, html } = legalPages[key];
    const page = [...pages.values()].find((each) => each.slug === slug);
    return {
      key,
      page,
      isAtFoot: page !== undefined && leadsTo(menu.footer, page.id),
      open: openBlanks(page ? textOf(page) : html, settings),
    };
  });
}
