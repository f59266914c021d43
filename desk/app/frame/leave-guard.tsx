import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { useBlocker, useNavigate } from 'react-router';
import { BASE } from '../../data/base';
import { endTyping, everythingSaved, unsaved } from '../../shared/autosave/unsaved';
import { showFirstProblem } from '../../shared/ui/save-state';

const FOCUS_MS = 150;

/** Once the dialog is gone, and has given the focus back to where it came from. */
function afterDialog(run: () => void): void {
  if (document.querySelector('[role="dialog"]')) requestAnimationFrame(() => afterDialog(run));
  else setTimeout(run, FOCUS_MS);
}

const LeaveDialog = lazy(() => import('./leave-dialog'));

/** Whoever leaves a screen waits until what was typed is saved, and is asked when it cannot be. */
export function LeaveGuard() {
  const navigate = useNavigate();
  const isLeaving = useRef(false);
  const wasBack = useRef(false);
  const blocker = useBlocker(({ currentLocation: from, nextLocation: to, historyAction }) => {
    const isElsewhere = from.pathname !== to.pathname || from.search !== to.search;
    if (isLeaving.current || !isElsewhere || !unsaved.isAny()) return false;
    wasBack.current = historyAction === 'POP';
    if (!wasBack.current) return true;
    // Where Back is held up, browsers skip a page later on. What is on its way goes on by itself, so only what is stuck asks.
    endTyping();
    return unsaved.isStuck();
  });
  const [isAsking, setAsking] = useState(false);
  const isBlocked = blocker.state === 'blocked';
  useEffect(() => {
    if (!isBlocked) return setAsking(false);
    let isOver = false;
    // A late answer may still come while the question stands: then nothing is left to ask.
    const stop = unsaved.subscribe(() => {
      if (isOver || unsaved.isAny()) return;
      isOver = true;
      blocker.proceed();
    });
    void everythingSaved().then((isSaved) => {
      if (isOver) return;
      if (!isSaved) return setAsking(true);
      isOver = true;
      blocker.proceed();
    });
    return () => {
      isOver = true;
      stop();
    };
    // One question for each time that somebody wants to leave.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isBlocked]);
  if (!isBlocked || !isAsking) return null;
  return (
    <Suspense>
      <LeaveDialog
        leave={() => {
          if (!wasBack.current) return blocker.proceed();
          const { pathname, search } = blocker.location;
          blocker.reset();
          isLeaving.current = true;
          // An address that was held up has the base of the desk in it, one to go to has not.
          void Promise.resolve(navigate(pathname.slice(BASE.length) + search)).finally(
            () => (isLeaving.current = false),
          );
        }}
        stay={() => {
          blocker.reset();
          afterDialog(showFirstProblem);
        }}
      />
    </Suspense>
  );
}
