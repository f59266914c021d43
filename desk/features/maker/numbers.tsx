import { namesOf } from '../../../core/model/fields';
import { variantFields } from '../../../core/model/variant-fields';
import { sharedFields } from '../../../core/suppliers/new-good';
import type { MakerGood } from '../../data/maker';
import { MeasureField } from '../../shared/ui/measure-field';
import { columnOf, type ColumnName } from '../../shared/variant-columns';
import type { NumbersRow } from './new-good';
import type { Draft } from './proposal-draft';

const NO_UNIT = { unitPricing: null } as const;
const columns = namesOf(variantFields, ({ makers }) => makers === 'propose').map((name) =>
  columnOf(name as ColumnName),
);

/** What a part of the form works on. */
export interface PartProps {
  good: MakerGood;
  draft: Draft;
  change: (change: (draft: Draft) => Draft) => void;
}

interface Props extends Omit<PartProps, 'good'> {
  rows: readonly NumbersRow[];
  errorAt: (...path: string[]) => string | undefined;
}

/** What each variant costs and is known by. */
export function Numbers({ rows, draft, change, errorAt }: Props) {
  return (
    <div className="flex flex-col gap-4">
      {rows.map(({ id, sentAs = id, name: called, fields, isShared }) => (
        <fieldset key={id}>
          {called && <legend className="mb-1 font-semibold">{called}</legend>}
          <div className="grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-3">
            {columns
              .filter(({ name }) => !isShared || sharedFields.has(name))
              .map(({ name, label, show, read }) => {
                const typed = (draft.variants[id] ?? {}) as Record<string, unknown>;
                return (
                  <MeasureField
                    key={name}
                    label={name === 'supplierNumber' ? 'Your number' : label}
                    shown={show(name in typed ? typed[name] : fields[name], NO_UNIT)}
                    read={(text) => read(text, NO_UNIT)}
                    error={errorAt('variants', sentAs, name)}
                    change={(value) =>
                      change((before) => ({
                        ...before,
                        variants: { ...before.variants, [id]: { ...before.variants[id], [name]: value } },
                      }))
                    }
                  />
                );
              })}
          </div>
        </fieldset>
      ))}
    </div>
  );
}
