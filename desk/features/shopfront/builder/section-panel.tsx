import type { ReactNode } from 'react';
import { typeOfSection } from '../../../../core/model/sections/sections';
import type { SectionNote, WantedSection } from '../../../data/shopfront';
import { fieldsOfSection } from '../sections/sections';
import { FrameFields } from './frame-fields';

interface Props {
  section: WantedSection;
  note: SectionNote | undefined;
  errors: Record<string, string>;
  change: (section: WantedSection) => void;
  acts: ReactNode;
}

/** The fields of the section that is chosen. */
export function SectionPanel({ section, note, errors, change, acts }: Props) {
  const { name } = typeOfSection(section);
  const Fields = fieldsOfSection(section.kind);
  return (
    <section aria-label={`${name} ${note?.name ?? ''}`} className="flex flex-col gap-3">
      <div className="flex items-center justify-between gap-2">
        <h2 className="min-w-0 truncate font-display text-[15px] font-bold">{name}</h2>
        {acts}
      </div>
      {note?.unseen && (
        <p role="status" className="rounded-lg bg-marigold-soft px-2.5 py-1.5 text-marigold-ink">
          Shoppers do not see it: {note.unseen}.
        </p>
      )}
      {note?.warnings.map((warning) => (
        <p key={warning} className="text-rose-ink">
          {warning}
        </p>
      ))}
      {errors.sections && (
        <p role="alert" className="text-rose-ink">
          Not saved yet: {errors.sections}
        </p>
      )}
      <Fields section={section} note={note} errors={errors} change={change} />
      <FrameFields section={section} errors={errors} change={change} />
    </section>
  );
}
