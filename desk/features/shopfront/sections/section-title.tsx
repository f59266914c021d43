import { TextField } from '../../../shared/ui/field';
import type { WantedSection } from '../../../data/shopfront';

interface Props<Section extends WantedSection> {
  section: Section;
  errors: Record<string, string>;
  change: (section: Section) => void;
  placeholder?: string;
  hint?: string;
}

/** The title of a section, which every sort has. */
export const SectionTitle = <Section extends WantedSection>({ section, errors, change, ...more }: Props<Section>) => (
  <TextField
    label="Title"
    value={section.title}
    error={errors.title}
    onChange={(event) => change({ ...section, title: event.target.value })}
    {...more}
  />
);
