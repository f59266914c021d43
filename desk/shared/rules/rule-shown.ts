import type { RuleField } from '../../../contract/rule-field';

/** What is known of a rule while it is made. */
export interface RuleShown {
  fields: readonly RuleField[];
  /** what each condition and group does, by its path */
  parts: ReadonlyMap<string, { soFar: number; alone: number }>;
  problems: ReadonlyMap<string, string>;
}

export const pathKey = (path: readonly number[]) => path.join('.');

/** Things that are told of places of a rule, by place. */
export const byPath = <T, V>(things: readonly (T & { path: number[] })[], of: (thing: T) => V): Map<string, V> =>
  new Map(things.map((thing) => [pathKey(thing.path), of(thing)]));
