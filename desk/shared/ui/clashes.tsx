import type { Autosave } from '../autosave/autosave';
import { useProgress } from '../autosave/use-autosave';
import { Button } from './button';

const shown = (value: unknown) =>
  typeof value === 'string' || typeof value === 'number' ? `“${String(value).slice(0, 80)}”` : 'another choice';

/** Two people changed the same field: both values, and the choice. */
export function Clashes({ save }: { save: Autosave }) {
  const drafts = useProgress(save, (progress) => progress.drafts);
  return Object.entries(drafts).map(
    ([key, { clash, message, value }]) =>
      clash && (
        <div key={key} role="alert" className="rounded-[10px] bg-marigold-soft px-3.5 py-2.5 text-marigold-ink">
          <p className="font-semibold">{message}</p>
          <p>
            Theirs: {shown(clash.theirs)}. Yours: {shown(value)}.
          </p>
          <div className="mt-2 flex gap-2">
            <Button onClick={() => save.settle(key, 'theirs')}>Take theirs</Button>
            <Button onClick={() => save.settle(key, 'mine')}>Keep mine</Button>
          </div>
        </div>
      ),
  );
}
