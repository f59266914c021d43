import { RichText } from '../../ui/rich-text';
import { Heading } from './heading';
import type { SectionProps } from './section-props';

export function Questions({ section, isFirst }: SectionProps<'questions'>) {
  if (section.questions.length === 0) return null;
  return (
    <>
      <Heading section={section} isFirst={isFirst} />
      <div className="divide-y divide-line border-y border-line">
        {section.questions.map(({ question, html }, i) => (
          <details key={i} className="group">
            <summary className="flex cursor-pointer list-none items-center justify-between gap-4 py-4 font-medium">
              <span className="min-w-0">{question}</span>
              <span
                className="text-xl leading-none transition group-open:rotate-45 motion-reduce:transition-none"
                aria-hidden="true"
              >
                +
              </span>
            </summary>
            <RichText html={html} className="max-w-prose pb-5" />
          </details>
        ))}
      </div>
    </>
  );
}
