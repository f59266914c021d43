import clsx from 'clsx';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';

const tabs = [
  { to: '/groups', words: 'Collections', end: true },
  { to: '/groups/tags', words: 'Tags' },
  { to: '/groups/brands', words: 'Brands' },
  { to: '/groups/overlap', words: 'Overlap' },
];

/** The ways to look at groups, with what can be done in the one that is open. */
export function GroupTabs({ children }: { children?: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-2.5">
      <h1 className="sr-only">Groups</h1>
      <nav aria-label="Groups" className="flex items-baseline gap-4">
        {tabs.map(({ to, words, end }) => (
          <NavLink
            key={to}
            to={to}
            end={end}
            className={({ isActive }) =>
              clsx(
                'border-b-[3px] pb-0.5 font-display text-lg font-bold',
                isActive ? 'border-ink text-ink' : 'border-transparent text-ink-2 hover:text-ink',
              )
            }
          >
            {words}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex gap-2">{children}</div>
    </div>
  );
}
