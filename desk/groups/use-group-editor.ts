import type { Shelf } from '../../contract/groups';
import { useAutosave } from '../use-autosave';

type Values = Record<string, unknown>;

/** Fields of one group that save themselves: what is shown is what was typed, until it is saved. */
export function useGroupEditor<T extends object>(shown: T, save: (values: Values, was: Values) => Promise<unknown>) {
  const auto = useAutosave({
    seen: 0,
    shown: shown as Values,
    save: async (values, _seen, was) => {
      await save(values, was);
      return 0;
    },
    keyOf: (path) => String(path[0]),
  });
  const value = <K extends keyof T & string>(key: K) => (key in auto.drafts ? auto.drafts[key] : shown[key]) as T[K];
  return {
    ...auto,
    value,
    /** what a text field needs */
    bind: (key: keyof T & string) => ({
      value: String(value(key) ?? ''),
      error: auto.errors[key],
      unsaved: key in auto.drafts,
      onChange: (event: { target: { value: string } }) => auto.change({ [key]: event.target.value }),
    }),
  };
}

export type GroupEditor<T extends object> = ReturnType<typeof useGroupEditor<T>>;
export type CollectionEditor = GroupEditor<Shelf>;
