import { lazy, Suspense, useEffect, useState } from 'react';
import { useBlocker } from 'react-router';
import { everythingSaved, unsaved } from '../autosave/unsaved';
import { showFirstProblem } from '../ui/save-state';

const LeaveDialog = lazy(() => import('./leave-dialog'));

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
  return (
    <Suspense>
      <LeaveDialog
        leave={blocker.proceed}
        stay={() => {
          blocker.reset();
          setTimeout(showFirstProblem);
        }}
      />
    </Suspense>
  );
}
