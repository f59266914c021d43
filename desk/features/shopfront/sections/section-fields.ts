import type { SectionKind, SectionOf } from '../../../../core/model/sections/sections';
import type { SectionNote, WantedSection } from '../../../data/shopfront';

/** What the fields of every sort of section are given. */
export interface SectionFieldsProps<Kind extends SectionKind> {
  section: SectionOf<Kind>;
  /** what it shows now */
  note: SectionNote | undefined;
  /** in words, by field of the section */
  errors: Record<string, string>;
  change: (section: WantedSection) => void;
}
