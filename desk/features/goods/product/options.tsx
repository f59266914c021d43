import { useState } from 'react';
import type { ProductAnswer } from '../../../../contract/product';
import { holdsWork, MAX_OPTIONS, variantName } from '../../../../core/products/variants';
import { newId } from '../../../shared/new-id';
import { Button } from '../../../shared/ui/button';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { MergeValue } from './merge-value';
import { OptionRow } from './option-row';
import { Part } from './part';
import { useOptions } from './use-options';

export function Options({ answer }: { answer: ProductAnswer }) {
  const { product } = answer;
  const { rows, isUnsaved, errors, save, discard, dialog } = useOptions(answer);
  const [naming, setNaming] = useState('');
  /** key of the option that was just named: its values come next */
  const [named, setNamed] = useState<string | null>(null);
  /** a value that is to go although variants with work in them have it */
  const [leaving, setLeaving] = useState<{ row: number; at: number } | null>(null);

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
  const addOption = (goesOn: boolean) => {
    const name = naming.trim();
    if (name === '') return false;
    const key = newId('q');
    save([...rows, { key, id: null, name, listId: null, values: [] }]);
    setNaming('');
    setNamed(goesOn ? key : null);
    return true;
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
        keyOf={({ key }) => key}
        reorder={(next) => save(next)}
        draw={(row, grip, at) => (
          <OptionRow
            row={row}
            grip={rows.length > 1 && grip}
            isNamedJustNow={row.key === named}
            pictures={product.pictures}
            removeValue={(value) => removeValue(at, value)}
            errors={[
              ...errors.filter(({ option }) => option === at).map(({ message }) => message),
              ...(isUnsaved && row.values.length === 0 ? ['Add a value, and the option is saved.'] : []),
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
            onKeyDown={(event) => {
              const goesOn = event.key === 'Enter' || (event.key === 'Tab' && !event.shiftKey);
              if (goesOn && addOption(true)) event.preventDefault();
            }}
            onBlur={() => addOption(false)}
            className="w-56 rounded-lg border border-dashed border-ink-3 bg-transparent px-2.5 py-1"
          />
        )}
        {isUnsaved && (
          <Button look="bare" onClick={discard}>
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
