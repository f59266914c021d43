import { ChoiceRow } from '../fields/choice-row';
import { RichRow } from '../fields/rich-row';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export const TextFields = ({ section, errors, change }: SectionFieldsProps<'text'>) => (
  <>
    <SectionTitle section={section} errors={errors} change={change} />
    <RichRow label="Text" html={section.html} change={(html) => change({ ...section, html })} />
    <ChoiceRow
      label="Columns"
      value={section.columns}
      choices={([1, 2, 3] as const).map((value) => ({ value, label: value }))}
      choose={(columns) => change({ ...section, columns })}
    />
  </>
);
