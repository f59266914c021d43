import type { Rule } from './rule';
import type { Settings } from './settings';
import type { Target } from './target';

/** Groups, pages and products that the settings name: by the notice, and by layouts of their own. */
export const targetsOfSettings = ({ notice, listings, productPage }: Settings): Target[] => [
  ...(notice.link && notice.link.kind !== 'address' ? [notice.link] : []),
  ...listings.own.map(({ at }) => at),
  ...productPage.own.flatMap(({ of }) => (of.kind === 'category' ? [{ kind: of.kind, id: of.id }] : [])),
];

export const rulesOfSettings = ({ cards }: Settings): Rule[] => cards.badges.flatMap(({ rule }) => rule ?? []);

/** Of several that name the same, the first holds. */
const firstOf = <T>(items: readonly T[], nameOf: (item: T) => string): T[] =>
  items.filter((item, i) => items.findIndex((other) => nameOf(other) === nameOf(item)) === i);

/**
 * The settings with every group, page and product that they name followed, and every rule changed. Where two layouts come
 * to be of the same group, the one that it has already stays.
 */
export function followedSettings(
  settings: Settings,
  follow: (to: Target) => Target,
  inRule: (rule: Rule) => Rule,
): Settings {
  const { notice, listings, productPage, cards } = settings;
  const stays = <T>(items: readonly T[], targetOf: (item: T) => Target | undefined) => {
    const isMoved = (item: T) => {
      const to = targetOf(item);
      return to !== undefined && follow(to).id !== to.id;
    };
    return [...items.filter((item) => !isMoved(item)), ...items.filter(isMoved)];
  };
  const followed = <To extends Target>(to: To): To => follow(to) as To;
  return {
    ...settings,
    notice: notice.link && notice.link.kind !== 'address' ? { ...notice, link: follow(notice.link) } : notice,
    listings: {
      ...listings,
      own: firstOf(
        stays(listings.own, ({ at }) => at).map((each) => ({ ...each, at: followed(each.at) })),
        ({ at }) => `${at.kind}:${at.id}`,
      ),
    },
    productPage: {
      ...productPage,
      own: firstOf(
        stays(productPage.own, ({ of }) => (of.kind === 'category' ? { kind: 'category', id: of.id } : undefined)).map(
          (each) =>
            each.of.kind === 'category'
              ? { ...each, of: { kind: 'category' as const, id: follow({ kind: 'category', id: each.of.id }).id } }
              : each,
        ),
        ({ of }) => `${of.kind}:${of.id}`,
      ),
    },
    cards: {
      ...cards,
      badges: cards.badges.map((badge) => (badge.rule ? { ...badge, rule: inRule(badge.rule) } : badge)),
    },
  };
}
