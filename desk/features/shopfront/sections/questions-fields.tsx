import { TextField } from '../../../shared/ui/field';
import { Entries } from '../fields/entries';
import { RichRow } from '../fields/rich-row';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export const QuestionsFields = ({ section, errors, change }: SectionFieldsProps<'questions'>) => (
  <>
    <SectionTitle section={section} errors={errors} change={change} />
    <Entries
      entries={section.questions}
      change={(questions) => change({ ...section, questions })}
      one="question"
      most={40}
      fresh={() => ({ question: '', html: '' })}
      draw={(entry, set) => (
        <div className="flex flex-col gap-2">
          <TextField
            label="Question"
            value={entry.question}
            onChange={(event) => set({ ...entry, question: event.target.value })}
          />
          <RichRow label="Answer" html={entry.html} change={(html) => set({ ...entry, html })} />
        </div>
      )}
    />
  </>
);
