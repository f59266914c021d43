import { X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import type { ProductAnswer } from '../../../contract/goods';
import { MAX_OPTIONS } from '../../../core/catalog/variants';
import { call, CallError, wordsOf } from '../../api';
import { Button } from '../../ui/button';
import { useConfirm } from '../../ui/confirm';
import { useKeepProduct } from '../queries';
import { Part } from './part';

interface Value {
  id: string | null;
  name: string;
  swatch: string | null;
}
interface Row {
  id: string | null;
  name: string;
  values: Value[];
}

/** Usual names of colours, so that a swatch is there without asking. */
const knownColours: Record<string, string> = {
  ember: '#e4572e',
  pine: '#0f6b5f',
  plum: '#5b3f9e',
  sea: '#1d4f91',
  sun: '#f3a712',
  red: '#c8102e',
  blue: '#1f5fbf',
  green: '#2e8b57',
  yellow: '#f2c230',
  black: '#1c1c1c',
  white: '#ffffff',
  orange: '#ee7f22',
  purple: '#6b3fa0',
  grey: '#8a8f94',
};

function OptionRow({
  row,
  errors,
  change,
  remove,
}: {
  row: Row;
  errors: string[];
  change: (row: Row) => void;
  remove: () => void;
}) {
  const [typed, setTyped] = useState('');
  const hasSwatches = row.values.some((value) => value.swatch) || /colou?r/i.test(row.name);
  const add = () => {
    const name = typed.trim();
    if (name === '') return;
    const swatch = hasSwatches ? (knownColours[name.toLowerCase()] ?? '#9aa5ad') : null;
    change({ ...row, values: [...row.values, { id: null, name, swatch }] });
    setTyped('');
  };
  const setValue = (at: number, value: Partial<Value>) =>
    change({ ...row, values: row.values.map((each, i) => (i === at ? { ...each, ...value } : each)) });
  return (
    <li>
      <div className="flex flex-wrap items-center gap-2">
        <input
          aria-label="Name of the option"
          defaultValue={row.name}
          key={row.name}
          onBlur={(event) => event.target.value !== row.name && change({ ...row, name: event.target.value })}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          className="w-28 rounded-md border border-transparent bg-transparent px-1 py-1 font-semibold hover:border-line focus:border-line"
        />
        {row.values.map((value, at) => (
          <span key={at} className="flex items-center gap-1.5 rounded-lg border border-line bg-sheet py-1 pl-2 pr-1">
            {value.swatch && (
              <input
                type="color"
                aria-label={`Colour of ${value.name}`}
                defaultValue={value.swatch}
                onBlur={(event) => event.target.value !== value.swatch && setValue(at, { swatch: event.target.value })}
                className="size-4 cursor-pointer rounded-full border-0 bg-transparent p-0"
              />
            )}
            <input
              aria-label={`Value of ${row.name}`}
              defaultValue={value.name}
              key={value.name}
              size={Math.max(3, value.name.length)}
              onBlur={(event) => event.target.value !== value.name && setValue(at, { name: event.target.value })}
              onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
              className="bg-transparent"
            />
            <button
              type="button"
              aria-label={`Remove ${value.name}`}
              onClick={() => change({ ...row, values: row.values.filter((_, i) => i !== at) })}
              className="rounded p-0.5 text-ink-2 hover:text-rose"
            >
              <X size={12} aria-hidden="true" />
            </button>
          </span>
        ))}
        <input
          aria-label={`New value of ${row.name || 'this option'}`}
          placeholder="type, then Enter"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && add()}
          onBlur={add}
          className="w-32 rounded-lg border border-dashed border-ink-3 bg-transparent px-2.5 py-1"
        />
        <button type="button" onClick={remove} className="text-ink-2 hover:text-rose hover:underline">
          remove option
        </button>
      </div>
      {errors.map((message) => (
        <p key={message} role="alert" className="mt-1 text-rose-ink">
          {message}
        </p>
      ))}
    </li>
  );
}

export function Options({ answer }: { answer: ProductAnswer }) {
  const { product, revision } = answer;
  const keep = useKeepProduct();
  const [ask, dialog] = useConfirm();
  /** what is typed while it cannot be saved yet: an option without values, or with names that clash */
  const [draft, setDraft] = useState<Row[] | null>(null);
  const [errors, setErrors] = useState<{ option: number; message: string }[]>([]);
  const [naming, setNaming] = useState('');
  const rows: Row[] = draft ?? product.options;

  const save = (next: Row[], confirmed = false) => {
    setDraft(next);
    setErrors([]);
    if (next.some((row) => row.values.length === 0)) return;
    call(routes.goods.setOptions, { params: { id: product.id }, body: { seen: revision, options: next, confirmed } })
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
            run: () => save(next, true),
          });
        } else if (error instanceof CallError && error.is('invalid'))
          setErrors(error.errors.map(({ path, message }) => ({ option: Number(path[1] ?? 0), message })));
        else {
          setDraft(null);
          toast.error(wordsOf(error));
        }
      });
  };
  const addOption = () => {
    const name = naming.trim();
    if (name === '') return;
    save([...rows, { id: null, name, values: [] }]);
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
      <ul className="flex flex-col gap-2.5">
        {rows.map((row, at) => (
          <OptionRow
            key={at}
            row={row}
            errors={[
              ...errors.filter(({ option }) => option === at).map(({ message }) => message),
              ...(draft && row.values.length === 0 ? ['Add a value, and the option is saved.'] : []),
            ]}
            change={(changed) => save(rows.map((each, i) => (i === at ? changed : each)))}
            remove={() => save(rows.filter((_, i) => i !== at))}
          />
        ))}
      </ul>
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
    </Part>
  );
}
