import type { Autosave } from '../autosave/autosave';
import type { SaveState } from '../autosave/step';
import { useProblems } from '../autosave/unsaved';
import { useProgress, useSaveState } from '../autosave/use-autosave';
import { Button } from './button';

const words: Partial<Record<SaveState, string>> = {
  saved: 'saved just now',
  waiting: 'typing …',
  saving: 'saving …',
};

/** Brings what could not be saved into view, with the cursor in it. */
export function showFirstProblem(): void {
  const field = document.querySelector<HTMLElement>('main [aria-invalid="true"]');
  const place = field ?? document.querySelector<HTMLElement>('main [role="alert"]');
  place?.scrollIntoView({ block: 'center' });
  field?.focus({ preventScroll: true });
}

function Failed({ save }: { save: Autosave }) {
  const problem = useProgress(save, (progress) => progress.problem);
  return (
    <span role="alert" className="flex items-center gap-2 font-semibold text-rose-ink">
      Not saved: {problem}
      <Button look="bare" onClick={save.flush}>
        Try now
      </Button>
    </span>
  );
}

/** "saved just now", or that it is not, why, and the way there. */
export function SaveStateWords({ save, beside }: { save: Autosave; beside?: Autosave }) {
  const [first, second] = [useSaveState(save), useSaveState(beside ?? save)];
  const problems = useProblems();
  if (first === 'failed') return <Failed save={save} />;
  if (second === 'failed') return <Failed save={beside!} />;
  if (problems.length > 0)
    return (
      <span className="flex min-w-0 items-center gap-1 font-semibold text-rose-ink">
        <span className="truncate" title={problems.join('\n')}>
          Not saved: {problems[0]}
        </span>
        <Button look="bare" className="shrink-0" onClick={showFirstProblem}>
          {problems.length > 1 ? `Show, and ${problems.length - 1} more` : 'Show'}
        </Button>
      </span>
    );
  const order: SaveState[] = ['saving', 'waiting', 'saved', 'idle'];
  const state = order.find((each) => each === first || each === second) ?? 'idle';
  return (
    <span role="status" className="text-ink-2">
      {words[state] ?? ''}
    </span>
  );
}
