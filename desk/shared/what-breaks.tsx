import { Link } from 'react-router';
import type { Use } from '../../core/storefront/views';
import type { Target } from '../../core/model/target';
import { count } from './ui/count';
import { useUses } from '../data/groups';

const SHOWN = 6;

const addressOf = ({ in: where, id }: Use): string =>
  ({
    menu: '/shopfront?view=menu',
    page: `/shopfront?page=${id}`,
    collection: `/groups/${id}`,
    product: `/goods/${id}`,
    offer: `/prices/${id}`,
    embed: `/shopfront?view=elsewhere&embed=${id}`,
    feed: `/exchange?part=channels&feed=${id}`,
    settings: '/shopfront?view=look',
  })[where];

const sorts: Record<Use['in'], string> = {
  menu: 'menu',
  page: 'page',
  collection: 'rule of the collection',
  product: 'rule of the product',
  offer: 'goods of the offer',
  embed: 'goods on another site',
  feed: 'goods of the feed',
  settings: 'look of the shop',
};

/** Names what will lead nowhere, or show nothing, when a group or a page goes. */
export function WhatBreaks({ kind, id }: Target) {
  const { data } = useUses(kind, id);
  if (!data) return <p className="mt-3 text-ink-2">Looking for what names it …</p>;
  if (data.total === 0) return <p className="mt-3 text-ink-2">Nothing else names it: no menu, no page and no rule.</p>;
  return (
    <div className="mt-3 rounded-[10px] bg-rose-soft px-3 py-2 text-rose-ink">
      <p className="font-semibold">
        {data.total === 1 ? 'One thing names it and will' : `${count(data.total)} things name it and will`} lead nowhere
        or show nothing:
      </p>
      <ul>
        {data.uses.slice(0, SHOWN).map((use, i) => (
          <li key={`${use.in} ${use.id} ${i}`}>
            <Link to={addressOf(use)} className="font-semibold underline">
              {use.label}
            </Link>{' '}
            <span className="text-xs">{sorts[use.in]}</span>
          </li>
        ))}
        {data.total > SHOWN && <li>and {count(data.total - SHOWN)} more</li>}
      </ul>
    </div>
  );
}
