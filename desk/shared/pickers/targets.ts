import { useQuery } from '@tanstack/react-query';
import { routes } from '../../../contract';
import type { NamedRow } from '../../../contract/groups';
import type { Target } from '../../../core/model/target';
import { call } from '../../data/api';
import { useTitles } from '../../data/goods';
import { useGroups } from '../../data/groups';
import { useNotMet, usePages } from '../../data/shopfront';
import { categoryChoices } from '../../shared/pickers/category-choices';
import type { Choice } from '../../shared/ui/choose';

export const keyOfTarget = ({ kind, id }: Target) => `${kind}:${id}`;

export function targetOf(key: string): Target {
  const [kind, id] = key.split(':') as [Target['kind'], string];
  return { kind, id };
}

/**
 * Everything that a link can lead to, with what it is, and its name. Products are many and are found by what is typed; the
 * names of those in `products` are looked up.
 */
export function useTargets(
  typed = '',
  products: readonly string[] = [],
): {
  choices: Choice[];
  nameOf: (target: Target) => string | undefined;
  /** why shoppers do not meet it, where they do not */
  whyNotMet: (target: Target) => string | undefined;
} {
  const notMet = useNotMet();
  const noteOf = (kind: Target['kind'], id: string) => [kind, notMet(kind, id)].filter(Boolean).join(', ');
  const { data: groups } = useGroups();
  const { data: pages } = usePages();
  const { data: goods } = useQuery({
    queryKey: ['goods', 'pick', typed],
    queryFn: ({ signal }) => call(routes.goods.list, { body: { text: typed, limit: 8, need: 'rows' }, signal }),
    enabled: typed.trim() !== '',
    placeholderData: (before) => before,
  });
  const titles = useTitles(products);
  const of = (kind: Target['kind'], things: readonly { id: string; name: string }[] = []): Choice[] =>
    things.map(({ id, name }) => ({ value: keyOfTarget({ kind, id }), label: name, note: noteOf(kind, id) }));
  const groupChoices = (isOffered: (named: NamedRow) => boolean) => [
    ...of('collection', groups?.shelves),
    ...categoryChoices(groups?.categories ?? []).map(({ value, label }) => ({
      value: keyOfTarget({ kind: 'category', id: value }),
      label,
      note: noteOf('category', value),
    })),
    ...of('brand', groups?.brands.filter(isOffered)),
    ...of('tag', groups?.tags.filter(isOffered)),
    ...of(
      'page',
      pages?.pages.map(({ id, title }) => ({ id, name: title })),
    ),
  ];
  const found = typed.trim() === '' ? [] : (goods?.rows ?? []);
  const choices = [
    ...groupChoices(({ listed }) => listed),
    ...of(
      'product',
      found.map(({ id, title }) => ({ id, name: title })),
    ),
  ];
  // What is no longer offered, since it is not listed any more, still has its name.
  const names = new Map(groupChoices(() => true).map(({ value, label }) => [value, label]));
  return {
    choices,
    whyNotMet: ({ kind, id }) => notMet(kind, id),
    nameOf: (target) => (target.kind === 'product' ? titles.get(target.id) : names.get(keyOfTarget(target))),
  };
}

/** Names of groups, and their parts of the address; a group that was deleted has only the words for that. */
export function useTargetNames(): {
  nameOf: (target: Target) => string;
  slugOf: (target: Target) => string | undefined;
} {
  const { data: groups } = useGroups();
  const of = (kind: Target['kind'], things: readonly { id: string; name: string; slug: string }[] = []) =>
    things.map((thing): [string, { name: string; slug: string }] => [keyOfTarget({ kind, id: thing.id }), thing]);
  const known = new Map([
    ...of('category', groups?.categories),
    ...of('collection', groups?.shelves),
    ...of('brand', groups?.brands),
    ...of('tag', groups?.tags),
  ]);
  return {
    nameOf: (target) => known.get(keyOfTarget(target))?.name ?? 'something deleted',
    slugOf: (target) => known.get(keyOfTarget(target))?.slug,
  };
}
