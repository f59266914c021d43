import { Menu, MenuButton, MenuItem, MenuItems, MenuSeparator } from '@headlessui/react';
import { Ellipsis } from 'lucide-react';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import type { Action } from './find-or-do';
import { letterKeys } from '../../shared/keyboard';
import { useLooseCount } from '../../data/loose-ends';
import { useProposalCount } from '../../data/suppliers';
import { useEnter, useSession } from '../../data/session';
import { tellRefused } from '../../data/tell-refused';

const ChangePassword = lazy(async () => ({
  default: (await import('../../shared/people/change-password')).ChangePassword,
}));

const YourPlaces = lazy(async () => ({ default: (await import('../../shared/people/your-places')).YourPlaces }));

const item =
  'flex min-h-8 w-full items-center rounded-md px-2.5 py-1.5 text-left data-disabled:text-ink-3 data-focus:bg-marigold-soft';

/** Asked when the menu is open: counting them is a look at the whole shop. */
function LooseWords() {
  const { data } = useLooseCount();
  return data ? `Loose ends (${data.total})` : 'Loose ends';
}

function ProposalWords() {
  const { data } = useProposalCount();
  return data?.waiting ? `Proposed by makers (${data.waiting})` : 'Proposed by makers';
}

interface Props {
  /** what stands beside the menu on a wide screen, and in it on a phone */
  onPhone: readonly (Action & { isOff?: boolean })[];
  showHelp: () => void;
}

/** What belongs to the person rather than to the goods: keys, password, signing out. */
export default function YourMenu({ onPhone, showHelp }: Props) {
  const { signOut } = useEnter();
  const { data: session } = useSession();
  const navigate = useNavigate();
  const [isChanging, setChanging] = useState(false);
  const [arePlacesShown, setPlaces] = useState(false);
  const [areLetters, setLetters] = useState(letterKeys.areOn);
  const entry = (words: ReactNode, run: () => void, isOff = false, key = String(words)) => (
    <MenuItem key={key} disabled={isOff}>
      <button type="button" onClick={run} className={item}>
        <span className="truncate">{words}</span>
      </button>
    </MenuItem>
  );
  return (
    <>
      <Menu>
        <MenuButton
          aria-label="More"
          title="Help, password, signing out"
          className="grid size-8 shrink-0 place-items-center rounded-md text-ink-2 hover:text-ink"
        >
          <Ellipsis size={18} aria-hidden="true" />
        </MenuButton>
        <MenuItems anchor={{ to: 'bottom end', gap: 6 }} className="sheet z-50 w-72 p-1 shadow-xl">
          <div className="md:hidden">
            {onPhone.map(({ words, run, isOff }) => entry(words, run, isOff))}
            <MenuSeparator className="my-1 h-px bg-hair" />
          </div>
          {entry(<LooseWords />, () => void navigate('/loose-ends'), false, 'loose')}
          {entry(<ProposalWords />, () => void navigate('/proposals'), false, 'proposals')}
          {entry('Suppliers', () => void navigate('/suppliers'))}
          {entry('History', () => void navigate('/history'))}
          {entry('Help', showHelp)}
          {entry(areLetters ? 'Switch one-letter keys off' : 'Switch one-letter keys on', () => {
            letterKeys.set(!areLetters);
            setLetters(!areLetters);
          })}
          <MenuSeparator className="my-1 h-px bg-hair" />
          {entry('Where you are signed in', () => setPlaces(true))}
          {entry('Change your password', () => setChanging(true))}
          {entry(session?.user ? `Sign out ${session.user.name}` : 'Sign out', () =>
            signOut.mutate(undefined, { onError: tellRefused }),
          )}
        </MenuItems>
      </Menu>
      <Suspense>
        {isChanging && <ChangePassword close={() => setChanging(false)} />}
        {arePlacesShown && <YourPlaces close={() => setPlaces(false)} />}
      </Suspense>
    </>
  );
}
