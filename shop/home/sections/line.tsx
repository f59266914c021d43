import type { SectionProps } from './section-props';

export const Line = ({ section }: SectionProps<'line'>) =>
  section.drawn ? <hr className="border-line" /> : <div className="h-8" />;
