import { useState } from 'react';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import type { ProductAnswer } from '../../../contract/goods';
import { holdsWork, MAX_OPTIONS, variantName } from '../../../core/catalog/variants';
import { call, CallError, wordsOf } from '../../api';
import { Button } from '../../ui/button';
import { useConfirm } from '../../ui/confirm';
import { SortableRows } from '../../ui/sortable-rows';
import { useKeepProduct } from '../queries';
import { MergeValue } from './merge-value';
import type { OptionDraft } from './option-drafts';
import { OptionRow } from './option-row';
import { Part } from './part';

export function Options({ answer }: { answer: ProductAnswer }) {
  const { product, revision } = answer;
  const keep = useKeepProduct();
  const [ask, dialog] = useConfirm();
  /** what is typed while it cannot be saved yet: an option without values, or with names that clash */
  const [draft, setDraft] = useState<OptionDraft[] | null>(null);
  const [errors, setErrors] = useState<{ option: number; message: string }[]>([]);
  const [naming, setNaming] = useState('');
  /** a value that is to go although variants with work in them have it */
  const [leaving, setLeaving] = useState<{ row: number; at: number } | null>(null);
  const rows: OptionDraft[] = draft ?? product.options;

  const save = (next: OptionDraft[], confirmed = false, merge: { from: string; into: string }[] = []) => {
    setDraft(next);
    setErrors([]);
    if (next.some((row) => row.values.length === 0)) return;
    call(routes.goods.setOptions, {
      params: { id: product.id },
      body: { seen: revision, options: next, merge, confirmed },
    })
      .then((saved) => {
        keep(saved);
        setDraft(null);
      })
      .catch((error: unknown) => {
        if (error instanceof CallError && error.is('confirm')) {
          setDraft(null);
          ask({
            title: error.message,
            detail: error.problem.detail,
            doIt: 'Remove them',
            run: () => save(next, true, merge),
          });
        } else if (error instanceof CallError && error.is('invalid'))
          setErrors(error.errors.map(({ path, message }) => ({ option: Number(path[1] ?? 0), message })));
        else {
          setDraft(null);
          toast.error(wordsOf(error));
        }
      });
  };
  const without = (row: number, at: number) =>
    rows.map((each, i) => (i === row ? { ...each, values: each.values.filter((_, v) => v !== at) } : each));
  const held = (row: number, at: number) => {
    const id = rows[row]!.values[at]!.id;
    return product.variants.filter((variant) => id !== null && variant.values.includes(id) && holdsWork(variant));
  };
  const removeValue = (row: number, at: number) => {
    const canMerge = rows[row]!.values.some(({ id }, i) => i !== at && id !== null);
    if (canMerge && held(row, at).length > 0) setLeaving({ row, at });
    else save(without(row, at));
  };
  const addOption = () => {
    const name = naming.trim();
    if (name === '') return;
    save([...rows, { id: null, name, listId: null, values: [] }]);
    setNaming('');
  };
  const sizes = rows.filter((row) => row.values.length > 0).map((row) => row.values.length);
  return (
    <Part
      id="options"
      title="Options"
      hint={
        rows.length === 0
          ? 'what shoppers can choose, such as colour or size; each combination becomes a variant'
          : undefined
      }
      aside={
        sizes.length > 0 && (
          <span className="text-ink-2">
            {sizes.join(' × ')} = {sizes.reduce((product, n) => product * n, 1)} variants
          </span>
        )
      }
    >
      <SortableRows
        className="flex flex-col gap-2.5"
        items={rows}
        keyOf={({ id, name }) => id ?? `new ${name}`}
        reorder={(next) => save(next)}
        draw={(row, grip, at) => (
          <OptionRow
            row={row}
            grip={rows.length > 1 && grip}
            pictures={product.pictures}
            removeValue={(value) => removeValue(at, value)}
            errors={[
              ...errors.filter(({ option }) => option === at).map(({ message }) => message),
              ...(draft && row.values.length === 0 ? ['Add a value, and the option is saved.'] : []),
            ]}
            change={(changed) => save(rows.map((each, i) => (i === at ? changed : each)))}
            remove={() => save(rows.filter((_, i) => i !== at))}
          />
        )}
      />
      <div className="mt-2.5 flex gap-2">
        {rows.length < MAX_OPTIONS && (
          <input
            aria-label="New option"
            placeholder="New option: colour, size …"
            value={naming}
            onChange={(event) => setNaming(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && addOption()}
            onBlur={addOption}
            className="w-56 rounded-lg border border-dashed border-ink-3 bg-transparent px-2.5 py-1"
          />
        )}
        {draft && (
          <Button
            look="bare"
            onClick={() => {
              setDraft(null);
              setErrors([]);
            }}
          >
            Back to what is saved
          </Button>
        )}
      </div>
      {dialog}
      {leaving && (
        <MergeValue
          value={rows[leaving.row]!.values[leaving.at]!.name}
          held={held(leaving.row, leaving.at).map(
            (variant) => `${variantName(product.options, variant)}: ${variant.stock ?? 'uncounted'} in stock`,
          )}
          others={rows[leaving.row]!.values.filter(({ id }, i) => i !== leaving.at && id !== null)}
          close={() => setLeaving(null)}
          drop={() => save(without(leaving.row, leaving.at), true)}
          merge={(into) =>
            save(without(leaving.row, leaving.at), true, [{ from: rows[leaving.row]!.values[leaving.at]!.id!, into }])
          }
        />
      )}
    </Part>
  );
}
