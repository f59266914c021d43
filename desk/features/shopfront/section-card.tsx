import type { ReactNode } from 'react';
import type { AnswerOf } from '../../../contract/route';
import type { shopfrontRoutes } from '../../../contract/shopfront';
import { typeOfSection } from '../../../core/model/sections/sections';
import { Thumb } from '../../shared/ui/thumb';
import type { WantedSection } from '../../data/shopfront';
import { fieldsOfSection } from './sections/sections';

type Note = AnswerOf<typeof shopfrontRoutes.pages>['notes'][number];

interface Props {
  section: WantedSection;
  note?: Note;
  grip: ReactNode;
  /** in words, by field of the section */
  errors: Record<string, string>;
  change: (section: WantedSection) => void;
  remove: () => void;
}

/** One section of a page: what it says, where its goods come from, and what it shows now. */
export function SectionCard({ section, note, grip, errors, change, remove }: Props) {
  const { name } = typeOfSection(section);
  const Fields = fieldsOfSection(section.kind);
  return (
    <article className="sheet flex gap-2 p-3" aria-label={`${name} ${section.title}`}>
      {grip}
      <div className="flex min-w-0 flex-1 flex-col gap-2.5">
        <div className="flex items-center justify-between">
          <h3 className="text-xs font-semibold text-ink-2">{name}</h3>
          <button type="button" onClick={remove} className="text-xs text-ink-2 hover:text-rose hover:underline">
            remove
          </button>
        </div>
        <Fields section={section} errors={errors} change={change} />
        {note && note.thumbnails.length > 0 && (
          <div className="flex items-center gap-1.5 overflow-hidden">
            {note.thumbnails.map((thumbnail, i) => (
              <Thumb key={`${thumbnail} ${i}`} src={thumbnail} className="size-10" />
            ))}
            {note.available > note.shown && <span className="pl-1 text-ink-2">of {note.available}</span>}
          </div>
        )}
        {note?.warnings.map((warning) => (
          <p key={warning} className="text-rose-ink">
            {warning}
          </p>
        ))}
      </div>
    </article>
  );
}
