import { useEffect, useLayoutEffect, useState, useSyncExternalStore } from 'react';
import { Autosave, type Terms } from './autosave';
import { isUnsaved, stateOf, valueAt, type Progress } from './step';

/**
 * Fields that save themselves. `shown` looks up what is saved, and must be another function when that changes; `revision`
 * is that of what is shown, where the server tells one.
 */
export function useAutosave(shown: Progress['shown'], revision: number, terms: Terms): Autosave {
  const [save] = useState(() => new Autosave(shown, revision, terms));
  useLayoutEffect(() => {
    save.terms = terms;
  });
  useLayoutEffect(() => save.show(shown, revision), [save, shown, revision]);
  useEffect(() => {
    save.enter();
    return () => save.leave();
  }, [save]);
  return save;
}

/** What a part of the progress is now; drawn again only when that changes. */
export function useProgress<T>(save: Autosave, pick: (progress: Progress) => T): T {
  return useSyncExternalStore(save.subscribe, () => pick(save.progress()));
}

/** What a field shows: what was typed, or what is saved. */
export const useValue = <T>(save: Autosave, key: string): T =>
  useProgress(save, (progress) => valueAt(progress, key)) as T;

/** Why a field was refused, in words. */
const useFieldError = (save: Autosave, key: string): string | undefined =>
  useProgress(save, ({ drafts }) => (drafts[key]?.clash ? undefined : drafts[key]?.message));

const useIsUnsaved = (save: Autosave, key: string): boolean =>
  useProgress(save, ({ drafts }) => isUnsaved(drafts[key]));

export const useSaveState = (save: Autosave) => useProgress(save, stateOf);

interface FieldBinding<T> {
  value: T;
  error: string | undefined;
  unsaved: boolean;
  change: (value: T) => void;
}

/** Everything that the field of a key needs. */
export function useField<T>(save: Autosave, key: string): FieldBinding<T> {
  return {
    value: useValue<T>(save, key),
    error: useFieldError(save, key),
    unsaved: useIsUnsaved(save, key),
    change: (value) => save.change({ [key]: value }),
  };
}

/** What a text field needs. */
export function useText(save: Autosave, key: string) {
  const { value, change, ...rest } = useField<string | null>(save, key);
  return {
    ...rest,
    value: value ?? '',
    onChange: (event: { target: { value: string } }) => change(event.target.value),
  };
}
