import { X } from 'lucide-react';
import { useState } from 'react';
import type { ProductAnswer } from '../../../../contract/product';
import { type Attribute, type SpecSheet, type SpecValue } from '../../../../core/model/spec-sheet';
import { specProblem } from '../../../../core/products/spec-values';
import type { Autosave } from '../../../shared/autosave/autosave';
import { Button } from '../../../shared/ui/button';
import { Choose } from '../../../shared/ui/choose';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import { useCreateSpecSheet, useSpecSheets } from '../../../data/goods';
import { SpecSheetEditor } from '../spec-sheet-editor';
import { SpecField } from '../../../shared/pickers/spec-field';
import { specKey, useProductField } from './use-product-autosave';
import { useField } from '../../../shared/autosave/use-autosave';
import { Part } from './part';

interface Props {
  answer: ProductAnswer;
  save: Autosave;
}

function SpecLine({ attribute, save }: { attribute: Attribute; save: Autosave }) {
  const { value, error, change } = useField<SpecValue | undefined>(save, specKey(attribute.id));
  const misfit = value === undefined ? undefined : specProblem(attribute, value);
  const message = error ?? misfit;
  return (
    <div className="grid grid-cols-[9rem_1fr] items-start gap-2">
      <span className="pt-1.5">
        {attribute.name}
        {attribute.required && value === undefined && (
          <span className="ml-1.5 text-xs font-semibold text-rose">needed</span>
        )}
      </span>
      <div>
        <SpecField attribute={attribute} value={value} change={change} />
        {message && (
          <p role="alert" className="mt-1 text-rose-ink">
            {message}
          </p>
        )}
      </div>
    </div>
  );
}

function Values({ sheet, save }: { sheet: SpecSheet; save: Autosave }) {
  const headings = [...new Set(sheet.attributes.map(({ heading }) => heading))];
  return (
    <>
      {headings.map((heading) => (
        <fieldset key={heading} className="mb-3">
          {heading && <legend className="mb-1.5 font-semibold text-ink-2">{heading}</legend>}
          <div className="grid gap-x-6 gap-y-2 lg:grid-cols-2">
            {sheet.attributes
              .filter((attribute) => attribute.heading === heading)
              .map((attribute) => (
                <SpecLine key={attribute.id} attribute={attribute} save={save} />
              ))}
          </div>
        </fieldset>
      ))}
      {sheet.attributes.length === 0 && (
        <p className="text-ink-2">This sheet has no attributes yet. Edit it to add some.</p>
      )}
    </>
  );
}

/** Fields that only this product has. */
function OwnFields({ save }: { save: Autosave }) {
  const { value: fields, error, change } = useProductField(save, 'customFields');
  const [naming, setNaming] = useState('');
  const add = () => {
    if (naming.trim() === '') return;
    change([...fields, { label: naming.trim(), value: '' }]);
    setNaming('');
  };
  return (
    <div className="border-t border-hair pt-3">
      {fields.map((field, at) => (
        <div key={at} className="mb-2 grid grid-cols-[9rem_1fr_auto] items-center gap-2">
          <span className="truncate">{field.label}</span>
          <TextField
            label={field.label}
            hideLabel
            autoFocus={field.value === ''}
            value={field.value}
            onChange={(event) =>
              change(fields.map((each, i) => (i === at ? { ...each, value: event.target.value } : each)))
            }
          />
          <button
            type="button"
            aria-label={`Remove ${field.label}`}
            onClick={() => change(fields.filter((_, i) => i !== at))}
            className="p-1 text-ink-2 hover:text-rose"
          >
            <X size={13} aria-hidden="true" />
          </button>
        </div>
      ))}
      <input
        aria-label="New field of this product alone"
        placeholder="A field of this product alone: name, then Enter"
        value={naming}
        onChange={(event) => setNaming(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && add()}
        className="w-80 rounded-lg border border-dashed border-ink-3 bg-transparent px-2.5 py-1"
      />
      {error && (
        <p role="alert" className="mt-1 text-rose-ink">
          {error}
        </p>
      )}
    </div>
  );
}

/** How many attributes of a product's sheet are filled in, of how many; and whether a needed one is missing. */
export function specCount(product: ProductAnswer['product'], sheets: readonly SpecSheet[]) {
  const attributes = sheets.find(({ id }) => id === product.specSheetId)?.attributes ?? [];
  const filled = attributes.filter(({ id }) => product.specs[id] !== undefined).length;
  return { filled, of: attributes.length };
}

export function Specs({ answer, save }: Props) {
  const { data } = useSpecSheets();
  const create = useCreateSpecSheet();
  const [editing, setEditing] = useState<string | null>(null);
  const chosen = useProductField(save, 'specSheetId');
  const sheets = data?.sheets ?? [];
  const sheet = sheets.find(({ id }) => id === chosen.value);
  const edited = sheets.find(({ id }) => id === editing);
  const suggested = sheets.find(({ id }) => id === answer.suggestedSheet?.id);
  return (
    <Part
      id="specs"
      title="Specs"
      hint={sheet ? 'numbers take any unit: 1.8 m becomes 180 cm' : 'what this sort of product is told by'}
      aside={
        sheet && (
          <span className="flex items-center gap-1">
            <Select
              label="Spec sheet"
              value={sheet.id}
              choices={[
                { value: '', label: 'No sheet' },
                ...sheets.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              choose={(id) => chosen.change(id === '' ? null : id)}
            />
            <Button look="bare" onClick={() => setEditing(sheet.id)}>
              Edit the sheet…
            </Button>
          </span>
        )
      }
    >
      {sheet ? (
        <Values key={sheet.id} sheet={sheet} save={save} />
      ) : (
        <div className="mb-3 flex flex-wrap items-center gap-3">
          {suggested && (
            <Button onClick={() => chosen.change(suggested.id)}>
              Use “{suggested.name}”, as {answer.suggestedSheet!.category} suggests
            </Button>
          )}
          <Choose
            label="Choose a spec sheet"
            choices={sheets.map(({ id, name, products }) => ({ value: id, label: name, note: `${products} products` }))}
            choose={(id) => chosen.change(id)}
            make={(name) =>
              create.mutate(name, {
                onSuccess: ({ id }) => {
                  chosen.change(id);
                  setEditing(id);
                },
              })
            }
            makeWords="New sheet"
            className="w-60"
          />
        </div>
      )}
      <OwnFields save={save} />
      {edited && <SpecSheetEditor key={edited.id} sheet={edited} close={() => setEditing(null)} />}
    </Part>
  );
}
