import { Words } from '../../ui/words';

interface Props {
  section: { id: string; title: string; align: 'start' | 'centre' };
  isFirst: boolean;
  hint?: string;
  className?: string;
}

/** The title of a section, as the heading of the page where it is the first. */
export const Heading = ({ section, isFirst, hint, className = '' }: Props) => (
  <Words
    as={isFirst ? 'h1' : 'h2'}
    section={section.id}
    field="title"
    text={section.title}
    hint={hint ?? 'No title'}
    className={`mb-5 font-display text-2xl font-bold tracking-tight ${section.align === 'centre' ? 'text-center' : ''} ${className}`}
  />
);
