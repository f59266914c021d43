import { NavLink } from 'react-router';
import { isSetUp, useSetUpUntilDone } from '../../data/set-up';

/** How far the shop is set up, and the way back to the list; nothing once it is done. */
export function SetUpChip() {
  const { data } = useSetUpUntilDone();
  if (!data || isSetUp(data)) return null;
  const done = data.steps.filter(({ state }) => state !== 'open').length;
  return (
    <NavLink
      to="/set-up"
      className={({ isActive }) =>
        `shrink-0 whitespace-nowrap rounded-lg border border-line bg-sheet px-3 py-[6px] text-ink-2 hover:text-ink max-md:px-2 ${isActive ? 'ring-2 ring-ink' : ''}`
      }
    >
      <span className="max-[1160px]:sr-only">Set-up </span>
      <span className="tabular-nums">
        {done} of {data.steps.length}
      </span>
    </NavLink>
  );
}
