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

type Listed = Exclude<Target, { kind: 'product' }>;

function whyShut(shop: Shop, target: Listed): string | null {
  const page = target.kind === 'page' ? shop.pages.get(target.id) : undefined;
  return page ? whyPageShut(shop, page) : whyGroupShut(shop, target as GroupRef);
}

/** Whether something is open to shoppers, and yet no link leads there. Pages that stand on groups need none. */
export function isUnreached(shop: Shop, target: Listed): boolean {
  const standsOn = (target.kind === 'page' && shop.pages.get(target.id)?.standsOn) || [];
  if (standsOn.length > 0 || whyShut(shop, target) !== null) return false;
  return !reachOf(shop).clicks.has(`${target.kind}:${target.id}`);
}

/** Why shoppers do not meet a page or a group by its links: it is shut, or no way leads there. Null when they do. */
export const whyNotMet = (shop: Shop, target: Listed): string | null =>
  whyShut(shop, target) ?? (isUnreached(shop, target) ? 'no way in' : null);
