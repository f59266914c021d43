import type { Collection } from '../model/group';
import type { RuleProblem } from './answers';
import { COLLECTION_FIELD } from './field';
import { conditionsOf, type Rule } from '../model/rule';

type Filled = Pick<Collection, 'source' | 'rule'>;

/** The collections that a collection's rule asks for. */
export function collectionsNamed({ source, rule }: Filled): string[] {
  return source === 'rule' ? namedIn(rule) : [];
}

function namedIn(rule: Rule): string[] {
  return conditionsOf(rule).flatMap(({ condition }) =>
    condition.field === COLLECTION_FIELD && Array.isArray(condition.value) ? condition.value.map(String) : [],
  );
}

/** Does a rule ask whether goods are in any collection at all, and so in the one that it fills? */
const asksForAny = (rule: Rule): boolean =>
  conditionsOf(rule).some(
    ({ condition: { field, is } }) => field === COLLECTION_FIELD && (is === 'filled' || is === 'empty'),
  );

/** Does the way along `collectionsNamed` lead from one collection to another? */
function leadsTo(from: string, to: string, collections: ReadonlyMap<string, Filled>, met = new Set<string>()): boolean {
  if (from === to) return true;
  const collection = collections.get(from);
  if (!collection || met.has(from)) return false;
  met.add(from);
  return collectionsNamed(collection).some((next) => leadsTo(next, to, collections, met));
}

/** Does the rule of the collection `id` ask for that collection, itself or by way of others? O(collections × conditions). */
export function isCircular(id: string, collections: ReadonlyMap<string, Filled>): boolean {
  const collection = collections.get(id);
  if (collection?.source !== 'rule') return false;
  return asksForAny(collection.rule) || collectionsNamed(collection).some((next) => leadsTo(next, id, collections));
}

/**
 * Why the rule may not fill the collection `id`: it asks for that collection, itself or by way of others; or it asks
 * whether a product is in any at all, which would ask for itself. O(collections × conditions).
 */
export function circularProblems(
  id: string,
  rule: Rule,
  collections: ReadonlyMap<string, Filled & { name: string }>,
): RuleProblem[] {
  return conditionsOf(rule).flatMap(({ condition: { field, is, value }, path }): RuleProblem[] => {
    if (field !== COLLECTION_FIELD) return [];
    if (is === 'filled' || is === 'empty')
      return [{ path, message: 'A collection cannot be filled by whether goods are in any collection: name one.' }];
    const circle = Array.isArray(value)
      ? value.map(String).find((other) => leadsTo(other, id, collections))
      : undefined;
    if (circle === undefined) return [];
    return [
      {
        path,
        message:
          circle === id
            ? 'A collection cannot be filled from itself.'
            : `“${collections.get(circle)!.name}” is filled from this collection, so this one cannot be filled from it.`,
      },
    ];
  });
}
