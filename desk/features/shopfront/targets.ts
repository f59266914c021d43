import type { NamedRow } from '../../../contract/groups';
import type { Target } from '../../../core/model/target';
import { categoryChoices } from '../../shared/pickers/category-choices';
import { useGroups } from '../../data/groups';
import type { Choice } from '../../shared/ui/choose';
import { usePages } from '../../data/shopfront';

const targetKey = ({ kind, id }: Target) => `${kind}:${id}`;

export function targetOf(key: string): Target {
  const [kind, id] = key.split(':') as [Target['kind'], string];
  return { kind, id };
}

/** Everything a link can lead to, with what it is; and its name by key. */
export function useTargets(): { choices: Choice[]; nameOf: (target: Target) => string | undefined } {
  const { data: groups } = useGroups();
  const { data: pages } = usePages();
  const of = (kind: Target['kind'], things: readonly { id: string; name: string }[] = []): Choice[] =>
    things.map(({ id, name }) => ({ value: targetKey({ kind, id }), label: name, note: kind }));
  const groupChoices = (isOffered: (named: NamedRow) => boolean) => [
    ...of('collection', groups?.shelves),
    ...categoryChoices(groups?.categories ?? []).map(({ value, label }) => ({
      value: targetKey({ kind: 'category', id: value }),
      label,
      note: 'category',
    })),
    ...of('brand', groups?.brands.filter(isOffered)),
    ...of('tag', groups?.tags.filter(isOffered)),
    ...of(
      'page',
      pages?.pages.map(({ id, title }) => ({ id, name: title })),
    ),
  ];
  const choices = groupChoices(({ listed }) => listed);
  // What is no longer offered, since it is not listed any more, still has its name.
  const names = new Map(groupChoices(() => true).map(({ value, label }) => [value, label]));
  return { choices, nameOf: (target) => names.get(targetKey(target)) };
}
