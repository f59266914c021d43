import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import type { Option } from '../../../../core/model/product';
import { call, CallError, wordsOf } from '../../../data/api';
import { useUnsaved } from '../../../shared/autosave/unsaved';
import { useConfirm } from '../../../shared/ui/confirm';
import { useKeepProduct } from '../../../data/goods';
import { complete, draftsOf, rebased, withIds, type OptionDraft } from './option-drafts';

const RETRY_MS = 4_000;

interface Wanted {
  rows: OptionDraft[];
  confirmed: boolean;
  merge: { from: string; into: string }[];
}

export interface OptionsEditing {
  rows: OptionDraft[];
  /** true while what is shown is not saved: an option without values, or names that clash */
  isUnsaved: boolean;
  errors: { option: number; message: string }[];
  save: (rows: OptionDraft[], confirmed?: boolean, merge?: Wanted['merge']) => void;
  /** goes back to what is saved */
  discard: () => void;
  dialog: ReactNode;
}

interface Draft {
  rows: OptionDraft[];
  /** revision from which on the product shows it too; null while it is not saved */
  savedAt: number | null;
}

/**
 * Options as they are edited: saved at once, one write at a time. What is typed while a write is under way waits for it and
 * then builds on what it made; an option that has no values yet stays on screen and waits for one.
 */
export function useOptions({ product, revision }: ProductAnswer): OptionsEditing {
  const keep = useKeepProduct();
  const [ask, dialog] = useConfirm();
  const [draft, setDraftState] = useState<Draft | null>(null);
  const [errors, setErrors] = useState<OptionsEditing['errors']>([]);
  /** under which key each option and value with an id is on screen */
  const [keys] = useState(() => new Map<string, string>());
  const tellUnsaved = useUnsaved();
  const isGone = useRef(false);
  const wanted = useRef<Wanted | null>(null);
  const isSaving = useRef(false);
  const latest = useRef({ options: product.options, revision });
  useLayoutEffect(() => {
    if (revision >= latest.current.revision) latest.current = { options: product.options, revision };
  });

  const setDraft = (next: Draft | null) => {
    setDraftState(next);
    const lacking = next?.rows.filter(({ values }) => values.length === 0) ?? [];
    const isSaved = next === null || (next.savedAt !== null && lacking.length === 0);
    if (isSaved) tellUnsaved(null);
    else
      tellUnsaved({
        problems: lacking.map(({ name }) => `The option ${name} has no values yet.`),
        isOnItsWay: lacking.length === 0,
      });
  };
  const stop = (next: OptionsEditing['errors'], rows: OptionDraft[]) => {
    wanted.current = null;
    setErrors(next);
    tellUnsaved({ problems: next.map(({ message }) => message), isOnItsWay: false });
    setDraftState({ rows, savedAt: null });
  };

  /** Takes what was saved: what is new has ids now, and keeps its keys. */
  const take = (rows: readonly OptionDraft[], saved: readonly Option[]): OptionDraft[] => {
    const known = withIds(rows, saved);
    for (const each of known.flatMap((row) => [row, ...row.values])) if (each.id !== null) keys.set(each.id, each.key);
    return known;
  };
  const send = async ({ rows, confirmed, merge }: Wanted): Promise<ProductAnswer> => {
    const options = complete(rows);
    const body = { seen: latest.current.revision, options, merge, confirmed };
    const params = { id: product.id };
    try {
      return await call(routes.goods.setOptions, { params, body });
    } catch (error) {
      if (!(error instanceof CallError && error.is('clash'))) throw error;
      const fresh = keep(await call(routes.goods.get, { params }));
      const merged = rebased(options, latest.current.options, fresh.product.options);
      latest.current = { options: fresh.product.options, revision: fresh.revision };
      return call(routes.goods.setOptions, { params, body: { ...body, seen: fresh.revision, options: merged } });
    }
  };
  const refuse = (error: unknown, of: Wanted) => {
    const now = wanted.current ?? of;
    // Whoever has left the page still learns of it.
    if (isGone.current) toast.error(`Options not saved: ${wordsOf(error)}`, { duration: Infinity });
    if (error instanceof CallError && error.is('confirm')) {
      wanted.current = null;
      setDraft(null);
      return ask({
        title: error.message,
        detail: error.problem.detail,
        doIt: 'Remove them',
        run: () => save(of.rows, true, of.merge),
      });
    }
    if (error instanceof CallError && error.is('invalid')) {
      const found = error.errors.map(({ path, message }) => ({ option: Number(path[1] ?? 0), message }));
      return stop(found.length > 0 ? found : [{ option: 0, message: wordsOf(error) }], now.rows);
    }
    stop([{ option: 0, message: `Not saved: ${wordsOf(error)}` }], now.rows);
    if (!(error instanceof CallError) || error.isOffline || error.problem.status >= 500) {
      wanted.current = now;
      setTimeout(() => wanted.current === now && run(), RETRY_MS);
    }
  };
  const run = () => {
    const now = wanted.current;
    if (isSaving.current || now === null) return;
    isSaving.current = true;
    send(now)
      .then((answer) => {
        keep(answer);
        latest.current = { options: answer.product.options, revision: answer.revision };
        const next = wanted.current!;
        const rows = take(next.rows, answer.product.options);
        setErrors([]);
        if (next !== now) wanted.current = { ...next, rows };
        else wanted.current = null;
        const isDone = next === now && complete(rows).length === rows.length;
        setDraft(
          isDone ? { rows: draftsOf(answer.product.options, keys), savedAt: answer.revision } : { rows, savedAt: null },
        );
      })
      .catch((error: unknown) => refuse(error, now))
      .finally(() => {
        isSaving.current = false;
        if (wanted.current !== null && wanted.current !== now) run();
      });
  };
  const save: OptionsEditing['save'] = (rows, confirmed = false, merge = []) => {
    setErrors([]);
    wanted.current = { rows, confirmed, merge };
    setDraft({ rows, savedAt: null });
    const isNothing = complete(rows).length === 0 && latest.current.options.length === 0;
    if (!isNothing) run();
  };
  useEffect(() => {
    isGone.current = false;
    return () => void (isGone.current = true);
  }, []);

  // Made anew each time: what has just got an id is on screen under the key that it had without one.
  const saved = draftsOf(product.options, keys);
  const isShown = draft !== null && (draft.savedAt === null || revision < draft.savedAt);
  return {
    rows: isShown ? draft.rows : saved,
    isUnsaved: isShown && draft.savedAt === null,
    errors,
    save,
    discard: () => {
      wanted.current = null;
      setDraft(null);
      setErrors([]);
    },
    dialog,
  };
}
