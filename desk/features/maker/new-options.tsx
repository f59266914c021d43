import { Plus, X } from 'lucide-react';
import { MAX_OPTIONS } from '../../../core/products/variants';
import type { FieldError } from '../../../contract/problem';
import { Button } from '../../shared/ui/button';
import { TextField } from '../../shared/ui/field';
import type { Draft, TypedOption } from './proposal-draft';

interface Props {
  draft: Draft;
  change: (change: (draft: Draft) => Draft) => void;
  errors: readonly FieldError[];
}

/** What a new product comes in: options with their values, each combination of which becomes a variant. */
export function NewOptions({ draft, change, errors }: Props) {
  const set = (at: number, fields: Partial<TypedOption> | null) =>
    change((before) => ({
      ...before,
      options: before.options.flatMap((option, i) => (i !== at ? option : fields ? { ...option, ...fields } : [])),
    }));
  const add = () => change((before) => ({ ...before, options: [...before.options, { name: '', values: '' }] }));
  const errorUnder = (...path: (string | number)[]) =>
    errors.find((error) => path.every((part, i) => error.path[i] === part))?.message;
  return (
    <div className="mb-4 flex flex-col gap-2">
      {draft.options.map((option, i) => (
        <div key={i} className="flex flex-wrap items-start gap-2">
          <div className="w-40">
            <TextField
              label={`Option ${i + 1}`}
              placeholder="such as size"
              value={option.name}
              error={errorUnder('options', i, 'name')}
              onChange={({ target }) => set(i, { name: target.value })}
            />
          </div>
          <div className="min-w-48 flex-1">
            <TextField
              label={`Values of option ${i + 1}`}
              placeholder="with commas between: small, medium, large"
              value={option.values}
              error={errorUnder('options', i, 'values')}
              onChange={({ target }) => set(i, { values: target.value })}
            />
          </div>
          <Button look="bare" aria-label={`Remove option ${i + 1}`} className="mt-[22px]" onClick={() => set(i, null)}>
            <X size={13} aria-hidden="true" />
          </Button>
        </div>
      ))}
      {draft.options.length < MAX_OPTIONS && (
        <Button look="bare" className="-ml-2 self-start" onClick={add}>
          <Plus size={13} aria-hidden="true" />
          {draft.options.length === 0 ? 'It comes in several sizes or colours' : 'One more option'}
        </Button>
      )}
    </div>
  );
}
