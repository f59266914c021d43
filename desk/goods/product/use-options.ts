import { useRef, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import type { ProductAnswer } from '../../../contract/goods';
import { call, CallError, wordsOf } from '../../api';
import { useConfirm } from '../../ui/confirm';
import { useKeepProduct } from '../queries';
import { withIds, type OptionDraft } from './option-drafts';

interface Wanted {
  rows: OptionDraft[];
  confirmed: boolean;
  merge: { from: string; into: string }[];
}

export interface OptionsEditing {
  rows: OptionDraft[];
  /** true while what is shown cannot be saved: an option without values, or names that clash */
  isUnsaved: boolean;
  errors: { option: number; message: string }[];
  save: (rows: OptionDraft[], confirmed?: boolean, merge?: Wanted['merge']) => void;
  /** goes back to what is saved */
  discard: () => void;
  dialog: ReactNode;
}

/**
 * Options as they are edited: saved at once, one write at a time. Values typed while a write is under way wait for it, and
 * then build on what it made.
 */
export function useOptions({ product, revision }: ProductAnswer): OptionsEditing {
  const keep = useKeepProduct();
  const [ask, dialog] = useConfirm();
  /** `savedAt`: revision from which on the product shows it too; null while it is not saved */
  const [draft, setDraft] = useState<{ rows: OptionDraft[]; savedAt: number | null } | null>(null);
  const [errors, setErrors] = useState<OptionsEditing['errors']>([]);
  const waiting = useRef<Wanted | null>(null);
  const isSaving = useRef(false);
  const isShown = draft !== null && (draft.savedAt === null || revision < draft.savedAt);

  const refuse = (error: unknown, wanted: Wanted) => {
    waiting.current = null;
    if (error instanceof CallError && error.is('invalid'))
      return setErrors(error.errors.map(({ path, message }) => ({ option: Number(path[1] ?? 0), message })));
    setDraft(null);
    if (error instanceof CallError && error.is('confirm'))
      ask({
        title: error.message,
        detail: error.problem.detail,
        doIt: 'Remove them',
        run: () => save(wanted.rows, true, wanted.merge),
      });
    else toast.error(wordsOf(error));
  };
  const send = async (wanted: Wanted, seen: number): Promise<void> => {
    const { rows: options, confirmed, merge } = wanted;
    const body = { seen, options, merge, confirmed };
    const saved = await call(routes.goods.setOptions, { params: { id: product.id }, body });
    keep(saved);
    const next = waiting.current;
    waiting.current = null;
    if (!next) return setDraft({ rows: saved.product.options, savedAt: saved.revision });
    const rows = withIds(next.rows, saved.product.options);
    setDraft({ rows, savedAt: null });
    await send({ ...next, rows }, saved.revision);
  };
  const save: OptionsEditing['save'] = (rows, confirmed = false, merge = []) => {
    setDraft({ rows, savedAt: null });
    setErrors([]);
    if (rows.some((row) => row.values.length === 0)) return;
    const wanted = { rows, confirmed, merge };
    if (isSaving.current) {
      waiting.current = wanted;
      return;
    }
    isSaving.current = true;
    send(wanted, Math.max(revision, draft?.savedAt ?? 0))
      .catch((error: unknown) => refuse(error, wanted))
      .finally(() => (isSaving.current = false));
  };
  return {
    rows: isShown ? draft.rows : product.options,
    isUnsaved: isShown && draft.savedAt === null,
    errors,
    save,
    discard: () => {
      setDraft(null);
      setErrors([]);
    },
    dialog,
  };
}
