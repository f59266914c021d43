import type { Page } from '../../model/page';
import type { Shop } from '../../shop/shop';
import { filledSections, type FilledSection } from './page-goods';
import type { Scene } from './scene';
import { sectionView, whyUnseen, type SectionView } from './sections/sections';

export interface PageView {
  id: string;
  title: string;
  home: boolean;
  showsTitle: boolean;
  /** what search engines are told */
  meta: { title: string; description: string; noindex: boolean };
  sections: SectionView[];
}

/** A page with every section filled, as it is seen in a scene; `filled` where that is known already. */
export function pageView(
  shop: Shop,
  page: Page,
  scene: Scene,
  filled: readonly FilledSection[] = filledSections(shop, page, scene),
): PageView {
  const { id, title, home, showsTitle, metaTitle, metaDescription, noindex } = page;
  return {
    ...{ id, title, home, showsTitle },
    meta: { title: metaTitle, description: metaDescription, noindex },
    sections: filled
      .filter(({ section }) => scene.showsUnseen || whyUnseen(shop, section, scene.now) === undefined)
      .map(({ section, goods }) => sectionView(shop, section, scene, goods)),
  };
}
