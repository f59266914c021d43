import type { Target } from '../../core/placement/page';
import { useGroups } from '../groups/queries';
import type { Choice } from '../ui/choose';
import { usePages } from './queries';

export const targetKey = ({ kind, id }: Target) => `${kind}:${id}`;

export function targetOf(key: string): Target {
  const [kind, id] = key.split(':') as [Target['kind'], string];
  return { kind, id };
}

/** Everything a link can lead to, with what it is; and its name by key. */
export function useTargets(): { choices: Choice[]; nameOf: (target: Target) => string | undefined } {
  const { data: groups } = useGroups();
  const { data: pages } = usePages();
  const choices: Choice[] = [
    ...(groups?.shelves ?? []).map(({ id, name }) => ({ value: `collection:${id}`, label: name, note: 'collection' })),
    ...(groups?.categories ?? []).map(({ id, name }) => ({ value: `category:${id}`, label: name, note: 'category' })),
    ...(groups?.brands ?? []).map(({ id, name }) => ({ value: `brand:${id}`, label: name, note: 'brand' })),
    ...(groups?.tags ?? []).map(({ id, name }) => ({ value: `tag:${id}`, label: name, note: 'tag' })),
    ...(pages?.pages ?? []).map(({ id, title }) => ({ value: `page:${id}`, label: title, note: 'page' })),
  ];
  const names = new Map(choices.map(({ value, label }) => [value, label]));
  return { choices, nameOf: (target) => names.get(targetKey(target)) };
}
