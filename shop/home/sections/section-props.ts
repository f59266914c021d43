import type { SectionKind } from '../../../core/model/sections/sections';
import type { ViewOfKind } from '../../../core/storefront/pages/sections/sections';

/** What every sort of section is drawn from. */
export interface SectionProps<Kind extends SectionKind> {
  section: ViewOfKind<Kind>;
  /** 0 for the first of its page */
  at: number;
  /** whether it carries the heading of the page */
  isFirst: boolean;
  /** address of the page, with what is asked of a listing on it */
  url: string;
  currency: string;
  /** shows another state of the page without loading it again */
  go: (url: string) => void;
}
