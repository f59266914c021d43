import type { WantedSection } from '../../../data/shopfront';
import { TextField } from '../../../shared/ui/field';

interface Props<S extends WantedSection & { title: string }> {
  section: S;
  errors: Record<string, string>;
  change: (section: S) => void;
  placeholder?: string;
  hint?: string;
}

/** The title that most sorts of section have. */
export const SectionTitle = <S extends WantedSection & { title: string }>({
  section,
  errors,
  change,
  ...more
}: Props<S>) => (
  <TextField
    label="Title"
    value={section.title}
    error={errors.title}
    onChange={(event) => change({ ...section, title: event.target.value })}
    {...more}
  />
);
