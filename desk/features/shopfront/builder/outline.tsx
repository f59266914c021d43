import clsx from 'clsx';
import { EyeOff, Plus } from 'lucide-react';
import { useState } from 'react';
import { sectionTypes, typeOfSection, type SectionKind } from '../../../../core/model/sections/sections';
import type { SectionNote, WantedSection } from '../../../data/shopfront';
import { Dialog } from '../../../shared/ui/dialog';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { SectionDrawing } from './section-drawing';

interface Props {
  sections: readonly WantedSection[];
  notes: ReadonlyMap<string, SectionNote>;
  chosen: string | null;
  choose: (id: string) => void;
  reorder: (sections: WantedSection[]) => void;
  add: (kind: SectionKind) => void;
  /** a place was chosen on the page where one is to be added */
  isAdding: boolean;
  endAdding: () => void;
}

/** Everything that can be added to a page, each with what it is for. */
const Kinds = ({ add }: Pick<Props, 'add'>) => (
  <ul className="grid grid-cols-2 gap-1">
    {Object.values(sectionTypes).map(({ kind, name, about }) => (
      <li key={kind}>
        <button
          type="button"
          onClick={() => add(kind)}
          className="flex h-full w-full items-start gap-2 rounded-lg p-2 text-left hover:bg-marigold-soft"
        >
          <SectionDrawing kind={kind} />
          <span className="min-w-0">
            <span className="block font-semibold">{name}</span>
            <span className="block text-xs text-ink-2">{about}</span>
          </span>
        </button>
      </li>
    ))}
  </ul>
);

/** The sections of a page by name, in order. */
export function Outline({ sections, notes, chosen, choose, reorder, add, isAdding, endAdding }: Props) {
  const [isOpen, setOpen] = useState(false);
  const close = () => {
    setOpen(false);
    endAdding();
  };
  return (
    <div className="flex flex-col gap-2">
      {sections.length === 0 && (
        <p className="px-2 py-1 text-ink-2">This page is empty. Begin with a banner, or with a strip of goods.</p>
      )}
      <SortableRows
        items={sections}
        keyOf={({ id }) => id}
        reorder={reorder}
        className="flex flex-col gap-1"
        draw={(section, grip) => {
          const note = notes.get(section.id);
          const isChosen = section.id === chosen;
          const isOdd = (note?.warnings.length ?? 0) > 0;
          return (
            <div
              className={clsx(
                'flex items-center gap-0.5 rounded-[10px] pr-2',
                isChosen ? 'bg-ink text-sheet [&_.text-ink-2]:text-sheet/75' : 'hover:bg-sunk',
              )}
            >
              {grip}
              <button
                type="button"
                aria-pressed={isChosen}
                onClick={() => choose(section.id)}
                className="flex min-w-0 flex-1 items-center gap-2 py-1.5 text-left"
              >
                <SectionDrawing kind={section.kind} />
                <span className="min-w-0 flex-1">
                  <span className="block truncate font-semibold">{note?.name ?? typeOfSection(section).name}</span>
                  <span className="block truncate text-xs text-ink-2">
                    {note?.unseen ?? note?.says ?? typeOfSection(section).name}
                  </span>
                </span>
                {note?.unseen && <EyeOff size={13} aria-hidden="true" className="shrink-0 text-ink-2" />}
                {isOdd && !note?.unseen && (
                  <span className="size-2 shrink-0 rounded-full bg-rose" title={note!.warnings.join(' ')}>
                    <span className="sr-only">Worth a look</span>
                  </span>
                )}
              </button>
            </div>
          );
        }}
      />
      <button
        type="button"
        onClick={() => setOpen(true)}
        className="rounded-[10px] border border-dashed border-ink-3 py-2 text-center font-semibold hover:border-ink"
      >
        <Plus size={14} aria-hidden="true" className="mr-1.5 inline align-[-2px]" />
        Add a section
      </button>
      <Dialog title="Add a section" isOpen={isOpen || isAdding} close={close} width="max-w-xl">
        <Kinds
          add={(kind) => {
            add(kind);
            setOpen(false);
          }}
        />
      </Dialog>
    </div>
  );
}
