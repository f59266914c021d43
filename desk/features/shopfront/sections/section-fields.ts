import type { SectionKind } from '../../../../core/model/sections/sections';
import type { WantedSection } from '../../../data/shopfront';

/** What the fields of every sort of section are given. */
export interface SectionFieldsProps<Kind extends SectionKind> {
  section: Extract<WantedSection, { kind: Kind }>;
  /** in words, by field of the section */
  errors: Record<string, string>;
  change: (section: WantedSection) => void;
}
