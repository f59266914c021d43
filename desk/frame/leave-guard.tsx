import { useEffect, useState } from 'react';
import { useBlocker } from 'react-router';
import { everythingSaved, unsaved } from '../autosave/unsaved';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { showFirstProblem } from '../ui/save-state';

/** Whoever leaves a screen waits until what was typed is saved, and is asked when it cannot be. */
export function LeaveGuard() {
  const blocker = useBlocker(({ currentLocation: from, nextLocation: to }) => {
    const isElsewhere = from.pathname !== to.pathname || from.search !== to.search;
    return isElsewhere && unsaved.isAny();
  });
  const [isAsking, setAsking] = useState(false);
  const isBlocked = blocker.state === 'blocked';
  useEffect(() => {
    if (!isBlocked) return setAsking(false);
    let isOver = false;
    void everythingSaved().then((isSaved) => {
      if (isOver) return;
      if (isSaved) blocker.proceed();
      else setAsking(true);
    });
    return () => {
      isOver = true;
    };
    // One question for each time that somebody wants to leave.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isBlocked]);
  if (!isBlocked || !isAsking) return null;
  const stay = () => {
    blocker.reset();
    setTimeout(showFirstProblem);
  };
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
        <Button look="danger" onClick={blocker.proceed}>
          Leave without it
        </Button>
        <Button look="main" onClick={stay}>
          Stay
        </Button>
      </div>
    </Dialog>
  );
}
