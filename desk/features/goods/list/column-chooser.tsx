import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { Columns3, LayoutGrid, List } from 'lucide-react';
import type { RuleField } from '../../../../contract/rule-field';
import { Button } from '../../../shared/ui/button';
import { TickList } from '../../../shared/ui/tick-list';
import { listColumns, widthOf, type ListColumn } from './columns';

interface Props {
  columns: readonly ListColumn[];
  fields: readonly RuleField[];
  isCards: boolean;
  setCards: (isCards: boolean) => void;
}

/** Rows or cards, and which columns the rows have. */
export function ColumnChooser({ columns, fields, isCards, setCards }: Props) {
  const has = (key: string) => columns.some((column) => column.key === key);
  const toggle = (key: string) =>
    listColumns.set(
      has(key) ? columns.filter((column) => column.key !== key) : [...columns, { key, width: widthOf(key) }],
    );
  return (
    <span className="flex items-center">
      <button
        type="button"
        onClick={() => setCards(!isCards)}
        aria-pressed={isCards}
        aria-label={isCards ? 'Show as rows' : 'Show as cards'}
        title={isCards ? 'Show as rows' : 'Show as cards'}
        className="rounded-md p-1.5 text-ink-2 hover:bg-sunk hover:text-ink"
      >
        {isCards ? <List size={16} aria-hidden="true" /> : <LayoutGrid size={16} aria-hidden="true" />}
      </button>
      {!isCards && (
        <Popover>
          <PopoverButton
            aria-label="Choose columns"
            title="Choose columns"
            className="rounded-md p-1.5 text-ink-2 hover:bg-sunk hover:text-ink"
          >
            <Columns3 size={16} aria-hidden="true" />
          </PopoverButton>
          <PopoverPanel anchor={{ to: 'bottom end', gap: 6 }} className="sheet z-40 w-60 p-3 shadow-xl">
            <TickList
              label="Find a column"
              choices={fields.filter(({ key }) => key !== 'title')}
              has={has}
              toggle={toggle}
            />
            <p className="mt-1.5 text-xs text-ink-2">Drag a head to move its column, its right edge for its width.</p>
            <Button look="bare" className="mt-1" onClick={listColumns.asUsual}>
              As it was at first
            </Button>
          </PopoverPanel>
        </Popover>
      )}
    </span>
  );
}
