import clsx from 'clsx';
import { Redo2, Search, Undo2, type LucideIcon } from 'lucide-react';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link, NavLink, useLocation } from 'react-router';
import { asItWas } from '../../shared/ui/where-one-was';
import { findField } from './find-field';
import type { Action } from './find-or-do';
import { SetUpChip } from './set-up-chip';
import { useStatus, type useUndo } from '../../data/session';

const desks = [
  { to: '/goods', words: 'Goods' },
  { to: '/groups', words: 'Groups' },
  { to: '/prices', words: 'Prices' },
  { to: '/shopfront', words: 'Shopfront' },
  { to: '/words', words: 'Words' },
  { to: '/exchange', words: 'Exchange' },
  { to: '/orders', words: 'Orders' },
];

// They come right after the rest, which shows the goods meanwhile.
const FindOrDo = lazy(() => import('./find-or-do'));
const OthersHere = lazy(() => import('./others-here'));
const YourMenu = lazy(() => import('./your-menu'));

type Reversing = ReturnType<typeof useUndo>['undo'];

interface Props {
  actions: readonly Action[];
  findId: string;
  undo: Reversing;
  redo: Reversing;
  showHelp: () => void;
  showWindow: () => void;
}

/** Takes back your last change, or does it again; which one that is, it says before. */
function Reversal({ icon: Icon, word, keys, of }: { icon: LucideIcon; word: string; keys: string; of: Reversing }) {
  const words = of.next ? `${word}: ${of.next.label} (${keys})` : `Nothing to ${word.toLowerCase()}`;
  return (
    <button
      type="button"
      title={words}
      aria-label={words}
      disabled={!of.next || of.isPending}
      onClick={() => of.mutate()}
      className="grid size-7 place-items-center rounded-md text-ink-2 hover:text-ink disabled:opacity-40"
    >
      <Icon size={16} aria-hidden="true" />
    </button>
  );
}

/** The top bar: a shelf on whose ink edge the desks stand. */
export function ShelfEdge({ actions, findId, undo, redo, showHelp, showWindow }: Props) {
  const { data: status } = useStatus();
  const { pathname } = useLocation();
  const [isFinding, setFinding] = useState(false);
  const [typed, setTyped] = useState('');
  const changes = status?.changes ?? 0;
  const nav = useRef<HTMLElement>(null);
  // On a phone not all desks are in sight.
  useEffect(() => {
    const current = nav.current?.querySelector<HTMLElement>('[aria-current=page]');
    // Not `scrollIntoView`: that would also make it the place from which Tab goes on.
    if (current) nav.current!.scrollLeft = current.offsetLeft - nav.current!.offsetLeft;
  }, [pathname]);
  return (
    <header className="flex h-[50px] shrink-0 relative items-stretch gap-4 border-b-4 border-ink bg-edge pl-4 pr-3 max-md:gap-1 max-md:px-2">
      <Link to="/" className="flex items-center gap-2.5 self-center rounded-md">
        <svg viewBox="0 0 24 20" className="w-6" aria-hidden="true">
          <rect x="0" y="1" width="13" height="4.6" rx="1.6" className="fill-marigold" />
          <rect x="6" y="7.6" width="15" height="4.6" rx="1.6" className="fill-ink" />
          <rect x="3" y="14.2" width="10" height="4.6" rx="1.6" className="fill-petrol" />
        </svg>
        <span className="font-display text-lg font-bold max-md:sr-only">Dispona</span>
      </Link>
      <nav
        ref={nav}
        aria-label="Desks"
        className="flex min-w-0 items-end gap-0.5 self-end overflow-x-auto [scrollbar-width:none]"
      >
        {desks.map(({ to, words }) => (
          <NavLink
            key={to}
            to={pathname === to ? to : asItWas(to)}
            className={({ isActive }) =>
              clsx(
                'shrink-0 rounded-t-[9px] px-2.5 pb-1.5 pt-2 font-semibold min-[1400px]:px-3.5 max-md:px-1.5',
                isActive ? 'bg-ink text-sheet' : 'text-ink-2 hover:text-ink',
              )
            }
          >
            {words}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex min-w-0 shrink-[20] items-center gap-2 self-center max-md:shrink-0 max-md:gap-1 min-[1400px]:gap-3">
        <button
          type="button"
          aria-label="Find or do"
          onClick={() => {
            setFinding(true);
            setTimeout(() => document.getElementById(findId)?.focus());
          }}
          className="grid size-8 place-items-center rounded-md text-ink-2 md:hidden"
        >
          <Search size={16} aria-hidden="true" />
        </button>
        <Suspense
          fallback={
            <input
              id={findId}
              aria-label="Find or do anything"
              placeholder="Find or do anything"
              autoComplete="off"
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              className={clsx(findField, 'min-w-0 max-md:hidden md:w-[230px]')}
            />
          }
        >
          <FindOrDo
            actions={actions}
            inputId={findId}
            typed={typed}
            setTyped={setTyped}
            className={isFinding ? 'max-md:absolute max-md:inset-x-2 max-md:z-30' : 'max-md:hidden'}
            left={() => setFinding(false)}
          />
        </Suspense>
        <Suspense>
          <OthersHere />
        </Suspense>
        <SetUpChip />
        <NavLink
          to="/review"
          className={({ isActive }) =>
            clsx(
              'shrink-0 whitespace-nowrap rounded-lg px-3.5 py-[6px] font-semibold max-md:px-2.5',
              changes > 0 ? 'bg-marigold text-ink hover:brightness-95' : 'border border-line bg-sheet text-ink-2',
              isActive && 'ring-2 ring-ink',
            )
          }
        >
          {changes > 0 ? (
            <>
              Review {changes} <span className="max-[1160px]:sr-only">{changes === 1 ? 'change' : 'changes'}</span>
            </>
          ) : (
            'All is live'
          )}
        </NavLink>
        <span className="flex max-md:hidden">
          <Reversal icon={Undo2} word="Undo" keys="Ctrl/Cmd + Z" of={undo} />
          <Reversal icon={Redo2} word="Redo" keys="Shift + Ctrl/Cmd + Z" of={redo} />
        </span>
        <button
          type="button"
          aria-label="Help"
          title="Help with this desk (?)"
          onClick={showHelp}
          className="grid size-7 shrink-0 place-items-center rounded-md font-display text-base font-bold text-ink-2 hover:text-ink max-md:hidden"
        >
          ?
        </button>
        <Suspense fallback={<span className="size-8" />}>
          <YourMenu
            showHelp={showHelp}
            onPhone={[
              {
                words: undo.next ? `Undo: ${undo.next.label}` : 'Nothing to undo',
                run: undo.mutate,
                isOff: !undo.next,
              },
              {
                words: redo.next ? `Redo: ${redo.next.label}` : 'Nothing to redo',
                run: redo.mutate,
                isOff: !redo.next,
              },
              { words: 'Shop window', run: showWindow },
            ]}
          />
        </Suspense>
      </div>
    </header>
  );
}
