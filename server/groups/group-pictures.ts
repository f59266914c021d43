import type { GroupPicture } from '../../core/model/group';
import type { GroupKind } from '../../core/shop/open-groups';
import { putCategory, putCollection, putNamed } from '../store/groups';
import type { Catalog } from '../state/catalog';
import { groupOrRefuse } from './group-or-refuse';
import type { UserId } from '../state/product-or-refuse';

/** Gives a group its picture; its words stay from the one before. */
export function setGroupPicture(
  catalog: Catalog,
  user: UserId,
  kind: GroupKind,
  id: string,
  { media, width, height }: Omit<GroupPicture, 'alt'>,
): void {
  const group = groupOrRefuse(catalog, kind, id);
  const picture = { media, width, height, alt: group.picture?.alt ?? '' };
  const { db } = catalog;
  catalog.journal.change({ did: 'groupPictured', kind, name: group.name }, catalog.actor(user), () => {
    if (kind === 'category') putCategory(db, { ...groupOrRefuse(catalog, kind, id), picture });
    else if (kind === 'collection') putCollection(db, { ...groupOrRefuse(catalog, kind, id), picture });
    else putNamed(db, kind, { ...groupOrRefuse(catalog, kind, id), picture });
  });
}
