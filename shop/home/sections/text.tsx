import { RichText } from '../../ui/rich-text';
import { Heading } from './heading';
import type { SectionProps } from './section-props';

const columns = { 1: 'max-w-prose', 2: 'md:columns-2 md:gap-12', 3: 'md:columns-2 lg:columns-3 md:gap-12' };

export const Text = ({ section, isFirst }: SectionProps<'text'>) => (
  <>
    <Heading section={section} isFirst={isFirst} />
    <RichText
      html={section.html}
      className={`${columns[section.columns]} ${section.align === 'centre' ? 'mx-auto text-center' : ''}`}
    />
  </>
);
