import { Tick } from '../../../shared/ui/tick';
import type { SectionFieldsProps } from './section-fields';

export const LineFields = ({ section, change }: SectionFieldsProps<'line'>) => (
  <Tick label="Draw the line" checked={section.drawn} change={(drawn) => change({ ...section, drawn })} />
);
