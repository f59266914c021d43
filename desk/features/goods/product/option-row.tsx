import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, rectSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import { X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { Picture } from '../../../../core/model/product-values';
import { newId } from '../../../shared/new-id';
import { useDragSensors } from '../../../shared/ui/drag';
import { NameField } from '../../../shared/ui/name-field';
import { colourOf, isOfColours, type OptionDraft } from './option-drafts';
import { OptionLists } from './option-lists';
import { OptionValue } from './option-value';

interface Props {
  row: OptionDraft;
  /** the cursor goes on to its values */
  isNamedJustNow: boolean;
  /** what the option is dragged by */
  grip: ReactNode;
  pictures: readonly Picture[];
  errors: readonly string[];
  change: (row: OptionDraft) => void;
  removeValue: (at: number) => void;
  remove: () => void;
}

/** One option: its name and its values one after the other. */
export function OptionRow({ row, isNamedJustNow, grip, pictures, errors, change, removeValue, remove }: Props) {
  const [typed, setTyped] = useState('');
  const sensors = useDragSensors();
  const hasSwatches = isOfColours(row);
  const keys = row.values.map(({ key }) => key);
  const add = () => {
    const name = typed.trim();
    if (name === '') return;
    const value = { key: newId('q'), id: null, name, swatch: hasSwatches ? colourOf(name) : null, pictureId: null };
    change({ ...row, values: [...row.values, value] });
    setTyped('');
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const [from, to] = [keys.indexOf(String(active.id)), keys.indexOf(String(over.id))];
    change({ ...row, values: arrayMove(row.values, from, to) });
  };
  return (
    <div>
      <div className="flex items-start gap-2">
        <span className="flex shrink-0 items-center">
          {grip}
          <NameField
            aria-label="Name of the option"
            value={row.name}
            keep={(name) => change({ ...row, name })}
            className="w-24 rounded-md border border-transparent bg-transparent px-1 py-1 font-semibold hover:border-line focus:border-line"
          />
        </span>
        <div className="flex min-w-0 flex-1 flex-wrap items-center gap-2">
          <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
            <SortableContext items={keys} strategy={rectSortingStrategy}>
              {row.values.map((value, at) => (
                <OptionValue
                  key={keys[at]}
                  id={keys[at]!}
                  value={value}
                  optionName={row.name}
                  hasSwatches={hasSwatches}
                  pictures={pictures}
                  change={(next) => change({ ...row, values: row.values.map((each, i) => (i === at ? next : each)) })}
                  remove={() => removeValue(at)}
                />
              ))}
            </SortableContext>
          </DndContext>
          <input
            aria-label={`New value of ${row.name || 'this option'}`}
            placeholder="type, then Enter"
            // It was named a moment ago: its values come next.
            autoFocus={isNamedJustNow}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => event.key === 'Enter' && add()}
            onBlur={add}
            className="w-32 rounded-lg border border-dashed border-ink-3 bg-transparent px-2.5 py-1"
          />
          <OptionLists row={row} change={change} />
        </div>
        <button
          type="button"
          onClick={remove}
          aria-label={`Remove the option ${row.name}`}
          className="shrink-0 rounded p-1.5 text-ink-2 hover:text-rose"
        >
          <X size={13} aria-hidden="true" />
        </button>
      </div>
      {errors.map((message) => (
        <p key={message} role="alert" className="mt-1 text-rose-ink">
          {message}
        </p>
      ))}
    </div>
  );
}
