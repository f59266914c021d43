import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import type { BuildingEvent } from '../../../../contract/shop-window';
import { lookFields } from '../../../../core/model/sections/frame';
import { sectionTypes, type SectionKind } from '../../../../core/model/sections/sections';
import {
  useShopfrontWrites,
  type PageDraft,
  type PagesAnswer,
  type WantedPage,
  type WantedSection,
} from '../../../data/shopfront';
import { useAutosave, useValue } from '../../../shared/autosave/use-autosave';
import { Clashes } from '../../../shared/ui/clashes';
import { SaveStateWords } from '../../../shared/ui/save-state';
import { newId } from '../../../shared/new-id';
import { useWindowTaken } from '../../../shared/window-state';
import { ChoiceRow } from '../fields/choice-row';
import { BuiltPage } from './page-view';
import { Outline } from './outline';
import { PagePanel } from './page-panel';
import { SectionActs } from './section-acts';
import { SectionPanel } from './section-panel';
import { withWords } from './typed-words';
import { useDrawnPage } from './use-drawn-page';
import { usePageSections } from './use-page-sections';
import { tellRefused } from '../../../data/tell-refused';

type Page = PagesAnswer['pages'][number];

interface Props {
  page: Page;
  pages: readonly Page[];
  ways: readonly string[];
  open: (id: string | null) => void;
}

const moved = <T,>(items: readonly T[], from: number, to: number): T[] => {
  const next = [...items];
  next.splice(to, 0, ...next.splice(from, 1));
  return next;
};

/** A page, built on the page itself: its outline, the page as shoppers see it, and the fields of what is chosen. */
export function PageBuilder({ page, pages, ways, open }: Props) {
  useWindowTaken();
  const { updatePage } = useShopfrontWrites();
  const shown = useCallback((key: string): unknown => page[key as keyof typeof page], [page]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({
      saved: await updatePage.mutateAsync({ id: page.id, ...(values as WantedPage), was }),
    }),
    keyOf: (path) => String(path[0]),
  });
  const { sections, drawable, errorsOf, set, change } = usePageSections(save);
  const [params, setParams] = useSearchParams();
  // Chosen at once, the address follows: what is typed right after a click must not go to the section before.
  const [chosen, setChosenNow] = useState(params.get('section'));
  const setChosen = (id: string | null) => {
    setChosenNow(id);
    setParams({ page: page.id, ...(id !== null && { section: id }) }, { replace: true });
  };
  const [daysOn, setDaysOn] = useState(0);
  const title = useValue<string>(save, 'title');
  const showsTitle = useValue<boolean>(save, 'showsTitle');
  const draft = useMemo<PageDraft>(
    () => ({ title, showsTitle, sections: drawable, daysOn }),
    [title, showsTitle, drawable, daysOn],
  );
  const told = useDrawnPage(page.id, draft);
  const notes = useMemo(() => new Map((told ?? []).map((note) => [note.id, note])), [told]);
  const section = sections.find(({ id }) => id === chosen);
  const building = useMemo(
    () => ({
      chosen: chosen === null ? null : { id: chosen, name: notes.get(chosen)?.name ?? '' },
      names: Object.fromEntries([...notes].map(([id, { name }]) => [id, name])),
    }),
    [chosen, notes],
  );
  const takesTurns = sections.some((each) => each.kind === 'strip' && each.daily !== null);

  const insert = (fresh: WantedSection, at: number) => {
    set([...sections.slice(0, at), fresh, ...sections.slice(at)]);
    setChosen(fresh.id);
  };
  const chosenAt = sections.findIndex(({ id }) => id === chosen);
  const [addAt, setAddAt] = useState<number | null>(null);
  const add = (kind: SectionKind) => {
    insert({ ...sectionTypes[kind].fresh(), id: newId('s') }, addAt ?? (chosenAt < 0 ? sections.length : chosenAt + 1));
    setAddAt(null);
  };
  const copyTo = (pageId: string, copied: WantedSection) => {
    const other = pages.find(({ id }) => id === pageId)!;
    updatePage.mutate(
      { id: pageId, sections: [...other.sections, { ...copied, id: newId('s') }], was: { sections: other.sections } },
      {
        onSuccess: () => void toast.success(`Copied to “${other.title}”.`),
        onError: tellRefused,
      },
    );
  };
  const remove = (id: string) => {
    set(sections.filter((each) => each.id !== id));
    setChosen(null);
  };

  const on = (event: BuildingEvent) => {
    switch (event.dispona) {
      case 'chose':
        setAddAt(null);
        return setChosen(event.id);
      case 'typed words': {
        const typedIn = sections.find(({ id }) => id === event.id);
        return typedIn && change(withWords(typedIn, event.field, event.words));
      }
      case 'add at':
        setChosen(null);
        return setAddAt(event.at);
      case 'moved': {
        const from = sections.findIndex(({ id }) => id === event.id);
        return from >= 0 ? set(moved(sections, from, event.to > from ? event.to - 1 : event.to)) : undefined;
      }
      case 'dropped': {
        const strip = sections.find(({ id }) => id === event.id);
        if (strip?.kind !== 'strip') return void toast.error('Only strips of goods take goods.');
        setChosen(strip.id);
        const { source, pins } = strip;
        return change(
          source?.kind === 'picked'
            ? { ...strip, source: { kind: 'picked', ids: [...new Set([...source.ids, ...event.products])] } }
            : source === null
              ? { ...strip, source: { kind: 'picked', ids: [...event.products] } }
              : { ...strip, pins: [...new Set([...pins, ...event.products])] },
        );
      }
      case 'undo':
        // What the page around does with the key, as if it had been pressed there.
        document.body.dispatchEvent(
          new KeyboardEvent('keydown', { key: 'z', shiftKey: event.again, ctrlKey: true, bubbles: true }),
        );
    }
  };

  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <aside
        aria-label="Sections of the page"
        className="flex w-[14.5rem] shrink-0 flex-col gap-3 overflow-y-auto border-r border-line p-2.5 max-lg:w-full max-lg:border-r-0"
      >
        <button
          type="button"
          aria-pressed={section === undefined}
          onClick={() => setChosen(null)}
          className="rounded-[10px] px-2 py-1.5 text-left hover:bg-sunk"
        >
          <span className="block truncate font-display text-[15px] font-bold">{title}</span>
          <span className={`block text-xs ${ways.length || page.home ? 'text-ink-2' : 'text-rose-ink'}`}>
            {page.home ? 'the first page' : ways.length > 0 ? `found from ${ways.join(', ')}` : 'nothing leads here'}
          </span>
        </button>
        <Outline
          sections={sections}
          notes={notes}
          chosen={chosen}
          choose={setChosen}
          reorder={set}
          add={add}
          isAdding={addAt !== null}
          endAdding={() => setAddAt(null)}
        />
        {takesTurns && (
          <ChoiceRow
            label="Goods of"
            value={daysOn}
            choices={[
              { value: 0, label: 'today' },
              { value: 1, label: 'tomorrow' },
            ]}
            choose={setDaysOn}
          />
        )}
        <SaveStateWords save={save} />
        <Clashes save={save} />
      </aside>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col p-3 max-lg:min-h-[60vh]">
        <BuiltPage path={pathOf(page)} building={building} on={on} />
      </div>
      <aside
        aria-label="What is chosen"
        className="w-[19rem] shrink-0 overflow-y-auto border-l border-line p-3.5 max-lg:w-full max-lg:border-l-0"
      >
        {section ? (
          <SectionPanel
            key={section.id}
            section={section}
            note={notes.get(section.id)}
            errors={errorsOf(section.id)}
            change={change}
            acts={
              <SectionActs
                section={section}
                sections={sections}
                notes={notes}
                otherPages={pages.filter(({ id }) => id !== page.id)}
                change={change}
                move={(by) => set(moved(sections, chosenAt, chosenAt + by))}
                copy={() => insert({ ...(drawable[chosenAt] ?? section), id: newId('s') }, chosenAt + 1)}
                copyTo={(pageId) => copyTo(pageId, section)}
                lookAs={(other) =>
                  change({ ...section, ...Object.fromEntries(lookFields.map((field) => [field, other[field]])) })
                }
                remove={() => remove(section.id)}
              />
            }
          />
        ) : (
          <PagePanel page={page} ways={ways} save={save} open={open} />
        )}
      </aside>
    </div>
  );
}

/** Where a page is drawn; one that stands on groups is drawn there. */
const pathOf = ({ home, slug }: Page) => (home ? '/' : `/page/${slug}`);
