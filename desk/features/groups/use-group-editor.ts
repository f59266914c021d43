import { useCallback } from 'react';
import type { Typed } from '../../../contract/shop-window';
import { useDrawnDrafts } from '../../shared/autosave/use-drawn-drafts';
import type { Shelf } from '../../../contract/groups';
import type { Autosave, Parcel } from '../../shared/autosave/autosave';
import { isUnsaved, valueAt, type Values } from '../../shared/autosave/step';
import { useAutosave, useProgress } from '../../shared/autosave/use-autosave';

export interface GroupEditor<T extends object> {
  save: Autosave;
  value: <K extends keyof T & string>(key: K) => T[K];
  error: (key: string) => string | undefined;
  isUnsaved: (key: string) => boolean;
  change: (values: Values) => void;
  /** what a text field needs */
  bind: (key: keyof T & string) => {
    value: string;
    error: string | undefined;
    unsaved: boolean;
    onChange: (event: { target: { value: string } }) => void;
  };
}

/** Fields of one group that save themselves: what is shown is what was typed, until it is saved. */
export function useGroupEditor<T extends object>(
  group: T,
  write: (values: Values, was: Values) => Promise<object>,
  /** address of its page in the shop, which shows what is typed */
  url: string,
): GroupEditor<T> {
  const shown = useCallback(
    (key: string): unknown => {
      if (key !== 'alt') return group[key as keyof T];
      // The words about a picture are saved as a field of their own.
      return (group as { picture?: { alt: string } | null }).picture?.alt ?? '';
    },
    [group],
  );
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }: Parcel) => {
      const answer = (await write(values, was)) as Record<string, unknown>;
      return {
        saved: Object.fromEntries(Object.keys(values).flatMap((key) => (key in answer ? [[key, answer[key]]] : []))),
      };
    },
    keyOf: (path) => String(path[0]),
  });
  const drawn = useCallback(
    ({ name, text }: Values): Typed => ({
      of: 'listing',
      url,
      fields: { title: name as string | undefined, text: text as string | undefined },
    }),
    [url],
  );
  useDrawnDrafts(save, drawn);
  const progress = useProgress(save, (now) => now);
  const value = <K extends keyof T & string>(key: K) => valueAt(progress, key) as T[K];
  const error = (key: string) => (progress.drafts[key]?.clash ? undefined : progress.drafts[key]?.message);
  const isOpen = (key: string) => isUnsaved(progress.drafts[key]);
  return {
    save,
    value,
    error,
    isUnsaved: isOpen,
    change: save.change,
    bind: (key) => ({
      value: String(value(key) ?? ''),
      error: error(key),
      unsaved: isOpen(key),
      onChange: (event) => save.change({ [key]: event.target.value }),
    }),
  };
}

export type CollectionEditor = GroupEditor<Shelf>;
