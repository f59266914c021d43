import type { Page } from '../model/page';
import type { Target } from '../model/target';
import { statusAt } from '../products/status';
import { groupsOf, isOpen, type GroupRef } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { targetLink } from './pages/targets';
import { reachOf } from './reach';

/** Why a page is shut; null when it is open, or stands on groups. */
export function whyPageShut(shop: Shop, page: Page): string | null {
  if (page.standsOn.length > 0) return null;
  return targetLink(shop, { kind: 'page', id: page.id }) ? null : 'not on its days';
}

/** Why the page of a group is shut; null when it is open. */
export function whyGroupShut(shop: Shop, at: GroupRef): string | null {
  if (isOpen(shop, at)) return null;
  if (at.kind === 'brand' || at.kind === 'tag') return 'not listed';
  const group = groupsOf(shop, at.kind).get(at.id) as { status: 'live' | 'off' };
  if (group.status === 'off') return 'off the shop';
  return at.kind === 'collection' && statusAt(shop.collections.get(at.id)!, shop.now) !== 'live'
    ? 'not on its days'
    : 'below a category that is off';
}

/** Why shoppers do not meet a page or a group by its links: it is shut, or no way leads there. Null when they do. */
export function whyNotMet(shop: Shop, target: Exclude<Target, { kind: 'product' }>): string | null {
  const page = target.kind === 'page' ? shop.pages.get(target.id) : undefined;
  if (page && page.standsOn.length > 0) return null;
  const shut = page ? whyPageShut(shop, page) : whyGroupShut(shop, target as GroupRef);
  if (shut !== null) return shut;
  return reachOf(shop).clicks.has(`${target.kind}:${target.id}`) ? null : 'no way in';
}
