import { unsaved } from '../../shared/autosave/unsaved';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';

/** Says what would be lost, and lets the person choose. */
export default function LeaveDialog({ leave, stay }: { leave: () => void; stay: () => void }) {
  const problems = [...new Set(unsaved.problems())];
  return (
    <Dialog title="Leave without saving?" isOpen close={stay}>
      {problems.length === 0 ? (
        <p className="text-ink-2">The server has not taken everything yet.</p>
      ) : (
        <ul className="text-ink-2">
          {problems.slice(0, 6).map((words) => (
            <li key={words}>{words}</li>
          ))}
          {problems.length > 6 && <li>and {problems.length - 6} more</li>}
        </ul>
      )}
      <div className="mt-4 flex justify-end gap-2">
        <Button look="danger" onClick={leave}>
          Leave without it
        </Button>
        <Button look="main" onClick={stay}>
          Stay
        </Button>
      </div>
    </Dialog>
  );
}
