import { formatDistanceToNow } from 'date-fns';
import { toast } from 'sonner';
import { usePlaces, usePlaceWrites } from '../../data/people';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { Failed, Loading } from '../ui/states';
import { tellRefused } from '../../data/tell-refused';

const ago = (moment: string) => `${formatDistanceToNow(new Date(moment))} ago`;

/** Where the person is signed in, each place to be ended by itself. */
export function YourPlaces({ close }: { close: () => void }) {
  const { data, error } = usePlaces();
  const { end, endOthers } = usePlaceWrites();
  return (
    <Dialog title="Where you are signed in" isOpen close={close}>
      {error && !data && <Failed error={error} />}
      {!data && !error && <Loading rows={2} />}
      <ul>
        {data?.sessions.map(({ id, device, opened, used, isThis }) => (
          <li key={id} className="flex items-center gap-3 border-b border-hair py-2 last:border-0">
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{device}</span> {isThis && <span className="text-ink-2">(here)</span>}
              <span className="block text-xs text-ink-2">
                {[opened && `signed in ${ago(opened)}`, `used ${ago(used)}`].filter(Boolean).join(', ')}
              </span>
            </span>
            {!isThis && (
              <Button
                look="bare"
                aria-label={`Sign out of ${device}, used ${ago(used)}`}
                onClick={() => end.mutate(id, { onError: tellRefused })}
              >
                Sign out there
              </Button>
            )}
          </li>
        ))}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        {(data?.sessions.length ?? 0) > 1 && (
          <Button
            onClick={() =>
              endOthers.mutate(undefined, {
                onSuccess: () => void toast('Signed out everywhere else'),
                onError: tellRefused,
              })
            }
          >
            Sign out everywhere else
          </Button>
        )}
        <Button look="main" onClick={close}>
          Done
        </Button>
      </div>
    </Dialog>
  );
}
