import type { Target } from '../../model/target';
import { groupsOf, urlOfGroup } from '../../shop/open-groups';
import type { ResolvedShop } from '../../shop/resolved-shop';

export interface LinkView {
  label: string;
  url: string;
}

/** What a link leads to is called; undefined when it is gone. */
export function targetName(shop: ResolvedShop, { kind, id }: Target): string | undefined {
  return kind === 'page' ? shop.pages.get(id)?.title : groupsOf(shop, kind).get(id)?.name;
}

/** Where a link leads and what it is called; undefined when its target is gone, or shoppers do not meet it now. */
export function targetLink(shop: ResolvedShop, target: Target): LinkView | undefined {
  const label = targetName(shop, target);
  if (label === undefined) return undefined;
  if (target.kind !== 'page') {
    const url = urlOfGroup(shop, { kind: target.kind, id: target.id });
    return url === undefined ? undefined : { label, url };
  }
  const { home, slug } = shop.pages.get(target.id)!;
  return { label, url: home ? '/' : `/page/${slug}` };
}
