import { useCallback, useEffect, useRef, useState } from 'react';
import { CallError, wordsOf } from './api';

export type SaveState = 'idle' | 'waiting' | 'saving' | 'saved' | 'failed' | 'refused';

const WAIT_MS = 300;
const RETRY_MS = 4_000;

type Values = Record<string, unknown>;

export interface Clash {
  key: string;
  theirs: unknown;
  message: string;
}

export interface Autosave {
  /** what was typed and is not saved yet, by key */
  drafts: Values;
  /** in words, by key */
  errors: Record<string, string>;
  clashes: Clash[];
  state: SaveState;
  problem: string | null;
  change: (values: Values) => void;
  retry: () => void;
  /** ends a clash: keep what was typed, or take what is saved */
  settle: (key: string, keep: 'mine' | 'theirs') => void;
}

const NOTHING: Readonly<Values> = {};

interface Options {
  /** revision that the person sees; goes with every write */
  seen: number;
  /** what is saved, as it is shown, by key */
  shown?: Readonly<Values>;
  /** saves the values, which were typed over `was`, and answers the new revision */
  save: (values: Values, seen: number, was: Values) => Promise<number>;
  /** which key a field error belongs to */
  keyOf: (path: readonly (string | number)[], sent: Values) => string | undefined;
}

/**
 * Saves what is typed by itself, one write at a time, a moment after the last key. What cannot be saved stays on screen
 * with its reason; when the server is away it is tried again until it is back.
 */
export function useAutosave({ seen, shown = NOTHING, save, keyOf }: Options): Autosave {
  const [drafts, setDrafts] = useState<Values>({});
  const [errors, setErrors] = useState<Record<string, string>>({});
  const [clashes, setClashes] = useState<Clash[]>([]);
  const [state, setState] = useState<SaveState>('idle');
  const [problem, setProblem] = useState<string | null>(null);
  const pending = useRef<Values>({});
  const refused = useRef<Values>({});
  const isSaving = useRef(false);
  /** saved, each at a revision that is perhaps not shown yet */
  const saved = useRef<{ values: Values; revision: number }[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  /** what stood in a field when it began to be typed over, and what goes out for it now */
  const basis = useRef<Values>({});
  const onItsWay = useRef<Values>({});
  const latest = useRef({ seen, shown, drafts, save, keyOf });
  const revision = useRef(seen);
  /** the next write goes over what somebody else saved: the person chose so */
  const isForced = useRef(false);
  useEffect(() => {
    latest.current = { seen, shown, drafts, save, keyOf };
    revision.current = Math.max(revision.current, seen);
  });

  /**
   * What is saved stays a draft until what is shown has caught up with it: otherwise the old state would come back for a
   * moment, and whoever acts in that moment would build on it.
   */
  const dropSaved = useCallback(() => {
    const isShown = ({ revision: of }: { revision: number }) => of <= latest.current.seen;
    const shown = saved.current.filter(isShown);
    if (shown.length === 0) return;
    saved.current = saved.current.filter((each) => !isShown(each));
    setDrafts((now) =>
      Object.fromEntries(
        Object.entries(now).filter(
          ([key, value]) => !shown.some(({ values }) => key in values && values[key] === value),
        ),
      ),
    );
  }, []);
  useEffect(dropSaved, [seen, dropSaved]);

  const flush = useCallback(async () => {
    clearTimeout(timer.current);
    if (isSaving.current || Object.keys(pending.current).length === 0) return;
    const sent = pending.current;
    const was = basis.current;
    pending.current = {};
    basis.current = {};
    onItsWay.current = sent;
    isSaving.current = true;
    setState('saving');
    let wait = 0;
    try {
      const from = isForced.current ? Number.MAX_SAFE_INTEGER : revision.current;
      isForced.current = false;
      const reached = await latest.current.save(sent, from, was);
      revision.current = Math.max(revision.current, reached);
      saved.current.push({ values: sent, revision: reached });
      dropSaved();
      setProblem(null);
      setState(Object.keys(refused.current).length > 0 ? 'refused' : 'saved');
    } catch (error) {
      wait = RETRY_MS;
      setProblem(wordsOf(error));
      const isAnswer = error instanceof CallError && !error.isOffline && error.problem.status < 500;
      if (!isAnswer) {
        pending.current = { ...sent, ...pending.current };
        basis.current = { ...basis.current, ...was };
        setState('failed');
      } else {
        // What was changed again while this was on its way is not refused: it goes out next.
        const isCurrent = (key: string) => !(key in pending.current);
        const found: Record<string, string> = {};
        for (const { path, message } of error.errors) {
          const key = latest.current.keyOf(path, sent) ?? '';
          if (isCurrent(key)) found[key] = message;
        }
        const wrong = error.errors
          .map(({ path }) => latest.current.keyOf(path, sent) ?? '')
          .filter((key) => key in sent);
        if (error.is('clash'))
          setClashes(
            error.errors.flatMap(({ path, message, theirs }) => {
              const key = latest.current.keyOf(path, sent);
              return key === undefined ? [] : [{ key, message, theirs }];
            }),
          );
        else setErrors((now) => ({ ...now, ...found }));
        for (const key of (wrong.length > 0 ? wrong : Object.keys(sent)).filter(isCurrent))
          refused.current[key] = sent[key];
        const rest = Object.entries(sent).filter(([key]) => !(key in refused.current));
        pending.current = { ...Object.fromEntries(rest), ...pending.current };
        basis.current = { ...basis.current, ...was };
        setState(Object.keys(refused.current).length > 0 ? 'refused' : 'waiting');
        wait = 0;
      }
    } finally {
      isSaving.current = false;
      onItsWay.current = {};
    }
    if (Object.keys(pending.current).length > 0) timer.current = setTimeout(() => void flush(), wait);
  }, [dropSaved]);

  const change = useCallback(
    (values: Values) => {
      for (const key of Object.keys(values)) {
        if (key in basis.current) continue;
        const { shown: saved, drafts: typed } = latest.current;
        const before = [onItsWay.current, typed, saved].find((known) => key in known);
        if (before) basis.current[key] = before[key];
      }
      Object.assign(pending.current, values);
      for (const key of Object.keys(values)) delete refused.current[key];
      setDrafts((now) => ({ ...now, ...values }));
      setErrors((now) => Object.fromEntries(Object.entries(now).filter(([key]) => !(key in values))));
      setState('waiting');
      clearTimeout(timer.current);
      timer.current = setTimeout(() => void flush(), WAIT_MS);
    },
    [flush],
  );

  const settle = useCallback(
    (key: string, keep: 'mine' | 'theirs') => {
      const mine = refused.current[key];
      delete refused.current[key];
      setClashes((now) => now.filter((clash) => clash.key !== key));
      if (keep === 'mine') {
        isForced.current = true;
        // What is typed goes over what somebody else saved, which was looked at.
        basis.current[key] = clashes.find((clash) => clash.key === key)?.theirs;
        change({ [key]: mine });
      } else {
        setDrafts((now) => Object.fromEntries(Object.entries(now).filter(([each]) => each !== key)));
        setState('saved');
      }
    },
    [change, clashes],
  );

  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (Object.keys(pending.current).length > 0 || isSaving.current) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => {
      window.removeEventListener('beforeunload', warn);
      void flush();
    };
  }, [flush]);

  return { drafts, errors, clashes, state, problem, change, retry: () => void flush(), settle };
}
