import { namesOf } from '../../../core/model/fields';
import { variantFields } from '../../../core/model/variant-fields';
import type { MakerGood } from '../../data/maker';
import { MeasureField } from '../../shared/ui/measure-field';
import { columnOf, type ColumnName } from '../../shared/variant-columns';
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

/** What each variant costs and is known by. */
export function Numbers({
  good,
  draft,
  change,
  errorAt,
}: PartProps & { errorAt: (...path: string[]) => string | undefined }) {
  return (
    <div className="flex flex-col gap-4">
      {good.variants.map((variant) => (
        <fieldset key={variant.id}>
          {variant.name && <legend className="mb-1 font-semibold">{variant.name}</legend>}
          <div className="grid grid-cols-[repeat(auto-fill,minmax(9rem,1fr))] gap-3">
            {columns.map(({ name, label, show, read }) => {
              const typed = (draft.variants[variant.id] ?? {}) as Record<string, unknown>;
              return (
                <MeasureField
                  key={name}
                  label={name === 'supplierNumber' ? 'Your number' : label}
                  shown={show(name in typed ? typed[name] : variant.fields[name], NO_UNIT)}
                  read={(text) => read(text, NO_UNIT)}
                  error={errorAt('variants', variant.id, name)}
                  change={(value) =>
                    change((before) => ({
                      ...before,
                      variants: { ...before.variants, [variant.id]: { ...before.variants[variant.id], [name]: value } },
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
