import { SortableRows } from './sortable-rows';
import { Tick } from './tick';

interface Props<T extends string> {
  /** all that can be chosen, in the order in which they usually stand */
  all: readonly T[];
  /** those that are chosen, in their order */
  chosen: readonly T[];
  nameOf: (item: T) => string;
  change: (chosen: T[]) => void;
}

/** Some of a few things, in an order: ticked, and dragged. Those that are not chosen stand below. */
export function TickedOrder<T extends string>({ all, chosen, nameOf, change }: Props<T>) {
  const rows = [...chosen, ...all.filter((item) => !chosen.includes(item))];
  const among = (items: readonly T[], isChosen: (item: T) => boolean) => change(items.filter(isChosen));
  return (
    <SortableRows
      items={rows}
      keyOf={(item) => item}
      reorder={(next) => among(next, (item) => chosen.includes(item))}
      className="sheet flex max-w-sm flex-col px-2 py-1"
      draw={(item, grip) => (
        <div className="flex items-center gap-1 border-b border-hair last:border-0">
          {grip}
          <Tick
            label={nameOf(item)}
            checked={chosen.includes(item)}
            change={(isOn) => among(rows, (each) => (each === item ? isOn : chosen.includes(each)))}
          />
        </div>
      )}
    />
  );
}
