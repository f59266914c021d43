import { Plus } from 'lucide-react';
import { useCallback } from 'react';
import { toast } from 'sonner';
import type { AnswerOf } from '../../../contract/route';
import type { shopfrontRoutes } from '../../../contract/shopfront';
import { sectionBodySchema, sectionTypes, typeOfSection } from '../../../core/model/sections/sections';
import { wordsOf } from '../../data/api';
import { useShopWindow } from '../../shared/window-state';
import { Button } from '../../shared/ui/button';
import { WhatBreaks } from '../../shared/what-breaks';
import { useConfirm } from '../../shared/ui/confirm';
import { Clashes } from '../../shared/ui/clashes';
import { TextField } from '../../shared/ui/field';
import { SaveStateWords } from '../../shared/ui/save-state';
import { SortableRows } from '../../shared/ui/sortable-rows';
import { Empty } from '../../shared/ui/states';
import { newId } from '../../shared/new-id';
import type { Typed } from '../../../contract/shop-window';
import type { Values } from '../../shared/autosave/step';
import { useAutosave, useField, useText } from '../../shared/autosave/use-autosave';
import { useDrawnDrafts } from '../../shared/autosave/use-drawn-drafts';
import { useShopfrontWrites, type WantedPage, type WantedSection } from '../../data/shopfront';
import { SectionCard } from './section-card';

type Overview = AnswerOf<typeof shopfrontRoutes.pages>;

interface Props {
  page: Overview['pages'][number];
  notes: Overview['notes'];
  onDeleted: () => void;
}

/** Words of a section that are typed, to be drawn in the shop window. */
const wordsOfSection = (section: WantedSection) =>
  Object.fromEntries(
    typeOfSection(section).words.map((field) => {
      const words = section[field as keyof WantedSection] as string;
      // A title that follows its source is not typed.
      return [field, field === 'title' ? words || undefined : words];
    }),
  );

/** A page as its sections in order. Everything saves by itself; what a section shows now stands below it. */
export function PageEditor({ page, notes, onDeleted }: Props) {
  const { updatePage, deletePage } = useShopfrontWrites();
  const [ask, dialog] = useConfirm();
  const shown = useCallback((key: string): unknown => page[key as keyof typeof page], [page]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({
      saved: await updatePage.mutateAsync({ id: page.id, ...(values as WantedPage), was }),
    }),
    keyOf: (path) => String(path[0]),
  });
  useShopWindow(page.home ? '/' : `/page/${page.slug}`);
  const drawn = useCallback(
    ({ sections }: Values): Typed => ({
      of: 'page',
      id: page.id,
      sections: Object.fromEntries(
        ((sections ?? []) as WantedSection[]).map((section) => [section.id, wordsOfSection(section)]),
      ),
    }),
    [page.id],
  );
  useDrawnDrafts(save, drawn);
  const title = useText(save, 'title');
  const slug = useText(save, 'slug');
  const { value: sections, error: sectionsError } = useField<WantedSection[]>(save, 'sections');
  const setSections = (next: WantedSection[]) => save.change({ sections: next });
  const fieldErrors = (index: number): Record<string, string> => {
    const checked = sectionsError ? sectionBodySchema.safeParse(sections[index]) : undefined;
    return Object.fromEntries((checked?.error?.issues ?? []).map(({ path, message }) => [String(path[0]), message]));
  };
  return (
    <section aria-label={`Page ${page.title}`} className="flex min-w-0 flex-1 flex-col gap-3">
      <div className="flex flex-wrap items-end gap-3">
        {page.home ? (
          <h2 className="font-display text-lg font-bold">Home</h2>
        ) : (
          <>
            <div className="w-44">
              <TextField label="Title" {...title} />
            </div>
            <div className="w-44">
              <TextField label="Address" {...slug} />
            </div>
            <Button
              look="bare"
              className="!text-rose"
              onClick={() =>
                ask({
                  title: `Delete the page “${page.title}”?`,
                  detail: (
                    <>
                      Its sections go with it; undo brings it back.
                      <WhatBreaks kind="page" id={page.id} />
                    </>
                  ),
                  doIt: 'Delete the page',
                  run: () =>
                    deletePage.mutate(page.id, {
                      onSuccess: onDeleted,
                      onError: (error) => void toast.error(wordsOf(error)),
                    }),
                })
              }
            >
              Delete page
            </Button>
            {dialog}
          </>
        )}
        <SaveStateWords save={save} />
      </div>
      <Clashes save={save} />
      {sectionsError && (
        <p role="alert" className="rounded-[10px] bg-rose-soft px-3 py-2 text-rose-ink">
          Not saved yet: {sectionsError}
        </p>
      )}
      {sections.length === 0 && (
        <Empty title="This page is empty">Begin with a banner, or with a strip of goods.</Empty>
      )}
      <SortableRows
        items={sections}
        keyOf={({ id }) => id!}
        reorder={setSections}
        className="flex flex-col gap-2.5"
        draw={(section, grip, index) => (
          <SectionCard
            section={section}
            note={notes.find((note) => note.id === section.id)}
            grip={grip}
            errors={fieldErrors(index)}
            change={(next) => setSections(sections.map((each, i) => (i === index ? next : each)))}
            remove={() => setSections(sections.filter((_, i) => i !== index))}
          />
        )}
      />
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-ink-2">Add</span>
        {Object.values(sectionTypes).map(({ name, fresh }) => (
          <Button key={name} onClick={() => setSections([...sections, { id: newId('s'), ...fresh() }])}>
            <Plus size={13} aria-hidden="true" /> {name}
          </Button>
        ))}
      </div>
    </section>
  );
}
