import { isShownAt } from '../../model/sections/frame';
import type { Page } from '../../model/page';
import type { Section } from '../../model/sections/sections';
import { cachedByVersion } from '../../shop/cached-by-version';
import type { Shop } from '../../shop/shop';
import type { Scene } from './scene';
import { sectionGoods } from './sections/sections';
import type { SectionGoods } from './sections/section-part';

export interface FilledSection {
  section: Section;
  goods: SectionGoods;
}

/**
 * The sections of a page with their goods, from the top down: what a section skips depends on what stands above it. Sections
 * that shoppers do not see now are filled too, but take nothing from those below. O(sections + goods shown).
 */
export function filledSections(shop: Shop, { sections }: Pick<Page, 'sections'>, scene: Scene): FilledSection[] {
  const above = new Map<number, string>();
  return sections.map((section) => {
    const goods = sectionGoods(shop, section, scene, above);
    if (isShownAt(section, scene.now * 1000))
      for (const slot of goods.slots) if (!above.has(slot)) above.set(slot, section.id);
    return { section, goods };
  });
}

const filledPages = cachedByVersion(() => new Map<Page, { now: number; sections: FilledSection[] }>());

/** `filledSections` as shoppers meet them at `now`, kept until the shop changes. */
export function sectionsOfPage(shop: Shop, page: Page, now: number): FilledSection[] {
  const pages = filledPages(shop);
  const known = pages.get(page);
  if (known?.now === now) return known.sections;
  const sections = filledSections(shop, page, { now }).filter(({ section }) => isShownAt(section, now * 1000));
  pages.set(page, { now, sections });
  return sections;
}
