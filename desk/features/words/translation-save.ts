import { useCallback, useMemo } from 'react';
import { useKeepTexts, type TextPlace, type TranslatedUnit } from '../../data/languages';
import type { Autosave } from '../../shared/autosave/autosave';
import { useAutosave } from '../../shared/autosave/use-autosave';

const NONE: readonly TranslatedUnit[] = [];

/** The translated texts of one thing, which save themselves; each under where it stands. An empty one is taken away. */
export function useTranslationSave(
  locale: string,
  { kind, id }: Pick<TextPlace, 'kind' | 'id'>,
  units: readonly TranslatedUnit[] = NONE,
): Autosave {
  const { mutateAsync } = useKeepTexts(locale);
  const byPath = useMemo(() => new Map(units.map((unit) => [unit.path, unit])), [units]);
  const shown = useCallback((path: string): unknown => byPath.get(path)?.done ?? '', [byPath]);
  const stored = (typed: unknown) => {
    const text = typeof typed === 'string' ? typed.trim() : '';
    return text === '' ? null : text;
  };
  return useAutosave(shown, 0, {
    save: async ({ values, was }) => {
      const texts = Object.entries(values).map(([path, typed]) => ({
        kind,
        id,
        path,
        source: byPath.get(path)?.source ?? '',
        text: stored(typed),
        was: stored(was[path]),
      }));
      await mutateAsync(texts);
      return { saved: Object.fromEntries(texts.map(({ path, text }) => [path, text ?? ''])) };
    },
    keyOf: ([, at], sent) => Object.keys(sent)[Number(at)],
    labelOf: (path) => byPath.get(path)?.words ?? path,
  });
}
