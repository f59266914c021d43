import { refusals } from '../shared/refusals';
import { nameIdentity } from '../../core/shared/same-name';
import { repeatedChoice, type OptionList } from '../../core/model/option-list';
import type { optionListRoutes } from '../../contract/lists';
import type { BodyOf } from '../../contract/route';
import {
  deleteOptionList,
  productsByOptionList,
  putOptionList,
  readOptionLists,
  setOptionValue,
  valuesOfList,
} from '../store/option-lists';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import type { UserId } from '../state/product-or-refuse';

type Content = Omit<OptionList, 'id'>;
function listOrRefuse(catalog: Catalog, id: string): OptionList {
  const list = readOptionLists(catalog.db).find((one) => one.id === id);
  if (!list) throw notFound(refusals.gone('option list'));
  return list;
}

function refuseContent(catalog: Catalog, content: Content, id: string | null): void {
  if (
    readOptionLists(catalog.db).some((list) => list.id !== id && nameIdentity(list.name) === nameIdentity(content.name))
  )
    throw invalidField(['name'], refusals.takenName('an option list', content.name));
  const at = repeatedChoice(content);
  if (at !== undefined) throw invalidField(['choices', at, 'name'], refusals.standsTwice(content.choices[at]!.name));
}

/** Option lists with the number of products that use each. */
export function optionLists(catalog: Catalog): (OptionList & { products: number })[] {
  const counts = productsByOptionList(catalog.db);
  return readOptionLists(catalog.db).map((list) => ({ ...list, products: counts.get(list.id) ?? 0 }));
}

export function createOptionList(catalog: Catalog, user: UserId, content: Content): string {
  refuseContent(catalog, content, null);
  const id = newId('optionList');
  catalog.journal.change({ did: 'optionListAdded', name: content.name }, catalog.actor(user), () =>
    putOptionList(catalog.db, { id, ...content }),
  );
  return id;
}

/**
 * Changes a list. Values of products that use it follow renamed values and other colours; a value whose new name another
 * value of the same option has already stays as it is. Answers how many products changed.
 */
export function changeOptionList(
  catalog: Catalog,
  user: UserId,
  id: string,
  { renamed, was, ...wanted }: BodyOf<typeof optionListRoutes.update>,
): number {
  const list = listOrRefuse(catalog, id);
  const content: Content = mergedFields(list, wanted, was, { name: 'name', choices: 'list of values' });
  refuseContent(catalog, content, id);
  const names = new Map(renamed.map(({ from, to }) => [nameIdentity(from), to]));
  const choices = new Map(content.choices.map((choice) => [nameIdentity(choice.name), choice]));
  const values = valuesOfList(catalog.db, id);
  const changed = new Set<string>();
  catalog.journal.change({ did: 'optionListChanged', name: content.name }, catalog.actor(user), () => {
    putOptionList(catalog.db, { id, ...content });
    for (const value of values) {
      const choice = choices.get(nameIdentity(names.get(nameIdentity(value.name)) ?? value.name));
      if (!choice || (choice.name === value.name && choice.swatch === value.swatch)) continue;
      const isTaken = values.some(
        (other) =>
          other.id !== value.id &&
          other.optionId === value.optionId &&
          nameIdentity(other.name) === nameIdentity(choice.name),
      );
      if (isTaken) continue;
      setOptionValue(catalog.db, value.id, choice);
      changed.add(value.productId);
    }
  });
  return changed.size;
}

export function removeOptionList(catalog: Catalog, user: UserId, id: string): void {
  const list = listOrRefuse(catalog, id);
  catalog.journal.change({ did: 'optionListDeleted', name: list.name }, catalog.actor(user), () =>
    deleteOptionList(catalog.db, id),
  );
}
