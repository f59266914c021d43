import type { SectionKind } from '../../../core/model/sections/sections';
import type { ViewOfKind } from '../../../core/storefront/pages/sections/sections';

/** What every sort of section is drawn from. */
export interface SectionProps<Kind extends SectionKind> {
  section: ViewOfKind<Kind>;
  /** 0 for the first of its page */
  at: number;
}
