import { useEffect, useMemo, useState } from 'react';
import { sectionBodySchema } from '../../../../core/model/sections/sections';
import type { WantedSection } from '../../../data/shopfront';
import type { Autosave } from '../../../shared/autosave/autosave';
import { useUnsaved } from '../../../shared/autosave/unsaved';
import { useField } from '../../../shared/autosave/use-autosave';

export interface PageSections {
  /** as they are on screen */
  sections: WantedSection[];
  /** as they can be drawn: those that are unfinished as they were before */
  drawable: WantedSection[];
  /** in words, by field of a section */
  errorsOf: (id: string) => Record<string, string>;
  set: (sections: WantedSection[]) => void;
  change: (section: WantedSection) => void;
}

const problemsOf = (section: WantedSection) => sectionBodySchema.safeParse(section).error?.issues ?? [];

/**
 * The sections of a page as they are built. A section with a field that cannot be saved stays on screen as it was typed, with
 * the reason, while all the others are saved.
 */
export function usePageSections(save: Autosave): PageSections {
  const { value: saved, error } = useField<WantedSection[]>(save, 'sections');
  const [unfinished, setUnfinished] = useState<ReadonlyMap<string, WantedSection>>(new Map());
  const tellUnsaved = useUnsaved();
  const sections = useMemo(() => saved.map((each) => unfinished.get(each.id) ?? each), [saved, unfinished]);
  useEffect(() => {
    const problems = [...unfinished.values()].flatMap((section) => problemsOf(section).map(({ message }) => message));
    tellUnsaved(problems.length > 0 ? { problems, isOnItsWay: false } : null);
  }, [unfinished, tellUnsaved]);
  const set = (next: WantedSection[]) => {
    const before = new Map(saved.map((each) => [each.id, each]));
    const broken = new Map(next.filter((each) => problemsOf(each).length > 0).map((each) => [each.id, each]));
    setUnfinished(broken);
    // One that is new and unfinished waits until it can be saved.
    save.change({ sections: next.flatMap((each) => (broken.has(each.id) ? (before.get(each.id) ?? []) : each)) });
  };
  return {
    sections,
    drawable: saved,
    errorsOf: (id) => {
      const section = sections.find((each) => each.id === id);
      const own: Record<string, string> = section && error ? { sections: error } : {};
      const found = section ? problemsOf(section) : [];
      return { ...own, ...Object.fromEntries(found.map(({ path, message }) => [String(path[0]), message])) };
    },
    set,
    change: (section) => set(sections.map((each) => (each.id === section.id ? section : each))),
  };
}
