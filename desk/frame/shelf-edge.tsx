import clsx from 'clsx';
import { History as HistoryIcon, KeyRound, LogOut } from 'lucide-react';
import { useState } from 'react';
import { Link, NavLink } from 'react-router';
import { ChangePassword } from './change-password';
import { FindOrDo, type Action } from './find-or-do';
import { useEnter, useStatus } from './queries';

export const desks = [
  { to: '/goods', words: 'Goods' },
  { to: '/groups', words: 'Groups' },
  { to: '/shopfront', words: 'Shopfront' },
];

interface Props {
  actions: readonly Action[];
  findId: string;
}

/** The top bar: a shelf on whose ink edge the desks stand. */
export function ShelfEdge({ actions, findId }: Props) {
  const { data: status } = useStatus();
  const { signOut } = useEnter();
  const [isChanging, setChanging] = useState(false);
  const changes = status?.changes ?? 0;
  return (
    <header className="flex h-[50px] shrink-0 items-stretch gap-4 border-b-4 border-ink bg-edge pl-4 pr-3 max-md:gap-2 max-md:pl-2">
      <Link to="/goods" className="flex items-center gap-2.5 self-center rounded-md">
        <svg viewBox="0 0 24 20" className="w-6" aria-hidden="true">
          <rect x="0" y="1" width="13" height="4.6" rx="1.6" className="fill-marigold" />
          <rect x="6" y="7.6" width="15" height="4.6" rx="1.6" className="fill-ink" />
          <rect x="3" y="14.2" width="10" height="4.6" rx="1.6" className="fill-petrol" />
        </svg>
        <span className="font-display text-lg font-bold max-md:sr-only">Dispona</span>
      </Link>
      <nav aria-label="Desks" className="flex items-end gap-1 self-end">
        {desks.map(({ to, words }) => (
          <NavLink
            key={to}
            to={to}
            className={({ isActive }) =>
              clsx(
                'rounded-t-[9px] px-3.5 pb-1.5 pt-2 font-semibold max-md:px-2',
                isActive ? 'bg-ink text-sheet' : 'text-ink-2 hover:text-ink',
              )
            }
          >
            {words}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex min-w-0 items-center gap-3 self-center">
        <FindOrDo actions={actions} inputId={findId} />
        <NavLink
          to="/review"
          className={({ isActive }) =>
            clsx(
              'shrink-0 whitespace-nowrap rounded-lg px-3.5 py-[6px] font-semibold',
              changes > 0 ? 'bg-marigold text-ink hover:brightness-95' : 'border border-line bg-sheet text-ink-2',
              isActive && 'ring-2 ring-ink',
            )
          }
        >
          {changes > 0 ? (
            <>
              Review {changes} <span className="max-md:sr-only">{changes === 1 ? 'change' : 'changes'}</span>
            </>
          ) : (
            'All is live'
          )}
        </NavLink>
        <NavLink
          to="/history"
          title="History: what was changed, and the way back"
          className={({ isActive }) =>
            clsx('rounded-md p-1 hover:text-ink max-md:hidden', isActive ? 'text-ink' : 'text-ink-2')
          }
        >
          <HistoryIcon size={16} aria-hidden="true" />
          <span className="sr-only">History</span>
        </NavLink>
        <button
          type="button"
          title="Change your password"
          onClick={() => setChanging(true)}
          className="rounded-md p-1 text-ink-2 hover:text-ink max-md:hidden"
        >
          <KeyRound size={15} aria-hidden="true" />
          <span className="sr-only">Change your password</span>
        </button>
        <button
          type="button"
          title="Sign out"
          onClick={() => signOut.mutate()}
          className="rounded-md p-1 text-ink-2 hover:text-ink max-md:hidden"
        >
          <LogOut size={15} aria-hidden="true" />
          <span className="sr-only">Sign out</span>
        </button>
      </div>
      {isChanging && <ChangePassword close={() => setChanging(false)} />}
    </header>
  );
}
