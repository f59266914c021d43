import type { SaveState } from '../use-autosave';
import { Button } from './button';

/** "saved just now", or that it is not, and why. */
export function SaveStateWords({
  state,
  problem,
  retry,
}: {
  state: SaveState;
  problem: string | null;
  retry: () => void;
}) {
  if (state === 'failed')
    return (
      <span role="alert" className="flex items-center gap-2 font-semibold text-rose-ink">
        Not saved: {problem}
        <Button look="bare" onClick={retry}>
          Try now
        </Button>
      </span>
    );
  if (state === 'refused') return <span className="font-semibold text-rose-ink">Not all of it can be saved yet</span>;
  const words = { saved: 'saved just now', waiting: 'typing …', saving: 'saving …', idle: '' }[state];
  return (
    <span role="status" className="text-ink-2">
      {words}
    </span>
  );
}
