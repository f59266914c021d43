import { X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { attributeTypes, type Attribute, type AttributeType, type SpecSheet } from '../../../core/model/spec-sheet';
import { CallError, wordsOf } from '../../data/api';
import { newId } from '../../shared/new-id';
import { Button } from '../../shared/ui/button';
import { Choose } from '../../shared/ui/choose';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { Select } from '../../shared/ui/select';
import { SortableRows } from '../../shared/ui/sortable-rows';
import { Tick } from '../../shared/ui/tick';
import { useRemoveSpecSheet, useSaveSpecSheet, useSpecSheets } from '../../data/goods';
import { tellRefused } from '../../data/tell-refused';

const typeWords: Record<AttributeType, string> = {
  text: 'Words',
  number: 'Number',
  range: 'Range',
  choice: 'One choice',
  choices: 'Choices',
  yesNo: 'Yes or no',
  date: 'Day',
};

const hasUnit = (type: AttributeType) => type === 'number' || type === 'range';
const hasChoices = (type: AttributeType) => type === 'choice' || type === 'choices';

/** Choices typed as a list, those of the same name keeping their ids. */
function choicesFrom(typed: string, before: Attribute['choices']): Attribute['choices'] {
  const names = typed
    .split(/[,\n]/)
    .map((name) => name.trim())
    .filter(Boolean);
  return names.map((name, at) => {
    const known = before.find((choice) => choice.name.toLowerCase() === name.toLowerCase());
    // A name changed in place keeps the id of the one that stood there, so that products keep their value.
    const renamed = names.length === before.length && !names.includes(before[at]!.name) ? before[at] : undefined;
    return { id: known?.id ?? renamed?.id ?? newId('q'), name };
  });
}

interface RowProps {
  attribute: Attribute;
  at: number;
  grip: ReactNode;
  errors: string[];
  change: (attribute: Attribute) => void;
  remove: () => void;
}

function AttributeRow({ attribute, at, grip, errors, change, remove }: RowProps) {
  const [typedChoices, setTypedChoices] = useState(attribute.choices.map(({ name }) => name).join(', '));
  const set = (values: Partial<Attribute>) => change({ ...attribute, ...values });
  const name = attribute.name || `attribute ${at + 1}`;
  return (
    <div className="rounded-lg border border-hair bg-sheet p-2.5">
      <div className="flex flex-wrap items-center gap-2">
        {grip}
        <div className="w-44">
          <TextField
            label={`Name of attribute ${at + 1}`}
            hideLabel
            placeholder="Name, such as wingspan"
            value={attribute.name}
            autoFocus={attribute.name === ''}
            onChange={(event) => set({ name: event.target.value })}
          />
        </div>
        <Select
          label={`Type of ${name}`}
          value={attribute.type}
          choices={attributeTypes.map((value) => ({ value, label: typeWords[value] }))}
          choose={(type) => set({ type: type as AttributeType })}
          className="w-28 !py-[6px]"
        />
        {hasUnit(attribute.type) && (
          <div className="w-20">
            <TextField
              label={`Unit of ${name}`}
              hideLabel
              placeholder="unit"
              value={attribute.unit}
              onChange={(event) => set({ unit: event.target.value })}
            />
          </div>
        )}
        <div className="w-36">
          <TextField
            label={`Heading of ${name}`}
            hideLabel
            placeholder="under no heading"
            value={attribute.heading}
            onChange={(event) => set({ heading: event.target.value })}
          />
        </div>
        <span className="ml-auto flex gap-0.5 text-ink-2">
          <button type="button" aria-label={`Remove ${name}`} onClick={remove} className="p-1 hover:text-rose">
            <X size={14} aria-hidden="true" />
          </button>
        </span>
      </div>
      {hasChoices(attribute.type) && (
        <div className="mt-2">
          <TextField
            label={`Choices of ${name}`}
            hideLabel
            placeholder="Choices, with commas between: ripstop, polyester, paper"
            value={typedChoices}
            onChange={(event) => {
              setTypedChoices(event.target.value);
              set({ choices: choicesFrom(event.target.value, attribute.choices) });
            }}
          />
        </div>
      )}
      <div className="mt-1 flex flex-wrap gap-x-5">
        <Tick label="Must be filled in" checked={attribute.required} change={(required) => set({ required })} />
        <Tick label="Shoppers see it" checked={attribute.shown} change={(shown) => set({ shown })} />
        {(hasChoices(attribute.type) || hasUnit(attribute.type) || attribute.type === 'yesNo') && (
          <Tick
            label="Shoppers filter by it"
            checked={attribute.filterable}
            change={(filterable) => set({ filterable })}
          />
        )}
      </div>
      {errors.map((message) => (
        <p key={message} role="alert" className="mt-1 text-rose-ink">
          {message}
        </p>
      ))}
    </div>
  );
}

const newAttribute = (): Attribute => ({
  id: newId('a'),
  name: '',
  type: 'text',
  unit: '',
  choices: [],
  heading: '',
  required: false,
  shown: true,
  filterable: false,
});

/** The attributes of a spec sheet: what every product with it can say. */
export function SpecSheetEditor({ sheet, close }: { sheet: SpecSheet; close: () => void }) {
  const { data } = useSpecSheets();
  const save = useSaveSpecSheet();
  const remove = useRemoveSpecSheet();
  /** as it was when it was opened: others may change it meanwhile */
  const [opened] = useState(sheet);
  const [name, setName] = useState(sheet.name);
  const [attributes, setAttributes] = useState(sheet.attributes);
  const errors = save.error instanceof CallError ? save.error.errors : [];
  const others = (data?.sheets ?? []).flatMap((other) =>
    other.id === sheet.id ? [] : other.attributes.map((attribute) => ({ attribute, of: other.name })),
  );
  const elsewhere = [...new Map(others.map((each) => [each.attribute.id, each])).values()].filter(
    ({ attribute }) => !attributes.some(({ id }) => id === attribute.id),
  );
  const submit = () =>
    save.mutate(
      {
        id: sheet.id,
        name,
        attributes: attributes.filter((each) => each.name.trim() !== ''),
        was: { name: opened.name, attributes: opened.attributes },
      },
      { onSuccess: close },
    );
  const drop = () =>
    remove.mutate(sheet.id, {
      onSuccess: () => {
        toast(`Deleted the spec sheet “${sheet.name}”. Undo brings it back.`);
        close();
      },
      onError: tellRefused,
    });
  return (
    <Dialog title="Spec sheet" isOpen close={close} isForm width="max-w-3xl">
      <TextField
        label="Name"
        value={name}
        onChange={(event) => setName(event.target.value)}
        error={errors.find(({ path }) => path[0] === 'name')?.message}
        hint="the sort of product that it describes, such as single-line kite"
      />
      <SortableRows
        className="mt-3 flex max-h-[52vh] flex-col gap-2 overflow-y-auto"
        items={attributes}
        keyOf={({ id }) => id}
        reorder={setAttributes}
        draw={(attribute, grip, at) => (
          <AttributeRow
            attribute={attribute}
            at={at}
            grip={grip}
            errors={errors
              .filter(({ path }) => path[0] === 'attributes' && path[1] === at)
              .map(({ message }) => message)}
            change={(next) => setAttributes(attributes.map((each, i) => (i === at ? next : each)))}
            remove={() => setAttributes(attributes.filter((_, i) => i !== at))}
          />
        )}
      />
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <Button onClick={() => setAttributes([...attributes, newAttribute()])}>Add an attribute</Button>
        {elsewhere.length > 0 && (
          <Choose
            label="Share one of another sheet"
            choices={elsewhere.map(({ attribute, of }) => ({ value: attribute.id, label: attribute.name, note: of }))}
            choose={(id) =>
              setAttributes([...attributes, elsewhere.find((each) => each.attribute.id === id)!.attribute])
            }
            className="w-56"
          />
        )}
        <span className="ml-auto flex gap-2">
          <Button look="bare" className="!text-rose" disabled={remove.isPending} onClick={drop}>
            Delete the sheet
          </Button>
          <Button onClick={close}>Leave it</Button>
          <Button look="main" onClick={submit} disabled={save.isPending}>
            Save the sheet
          </Button>
        </span>
      </div>
      {save.error && errors.length === 0 && (
        <p role="alert" className="mt-2 text-rose-ink">
          {wordsOf(save.error)}
        </p>
      )}
    </Dialog>
  );
}
