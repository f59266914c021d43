import { pairFaults, READABLE } from '../../../../core/look/pairs';
import type { Look } from '../../../../core/model/look';
import { colourRoles, type ColourRole } from '../../../../core/model/look-choices';
import { Button } from '../../../shared/ui/button';

/** What cannot be read well in these colours, each with the nearest colour that mends it. */
export function Faults({ look, mend }: { look: Look; mend: (role: ColourRole, colour: string) => void }) {
  const faults = pairFaults(look);
  if (faults.length === 0)
    return (
      <p role="status" className="mt-3 text-petrol">
        All text is easy to read: contrast is at least {READABLE} to 1 everywhere.
      </p>
    );
  return (
    <ul
      aria-label="Hard to read"
      className="mt-3 flex flex-col gap-1.5 rounded-lg bg-rose-soft px-4 py-3 text-rose-ink"
    >
      {faults.map(({ where, contrast, mend: by }) => (
        <li key={where} className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span>
            {where}: {contrast.toFixed(1)} to 1, which is hard to read.
          </span>
          {by ? (
            <Button onClick={() => mend(by.role, by.to)} className="!py-1">
              <span
                className="size-3.5 rounded-full ring-1 ring-black/20"
                style={{ background: by.to }}
                aria-hidden="true"
              />
              {colourRoles[by.role]}: {by.to}
            </Button>
          ) : (
            <span>No shade of this colour works on every background: change the background.</span>
          )}
        </li>
      ))}
    </ul>
  );
}
