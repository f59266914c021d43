import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { flatItems, movedItem, usualItem, writtenOut, type MenuItem } from '../../../../core/model/menu';
import type { Link } from '../../../../core/model/target';
import { useGroups } from '../../../data/groups';
import { newId } from '../../../shared/new-id';
import { Button } from '../../../shared/ui/button';
import { useDragSensors } from '../../../shared/ui/drag';
import { LinkField } from '../../../shared/pickers/link-field';
import { MenuRow, STEP } from './menu-row';

interface Props {
  title: string;
  hint: string;
  items: MenuItem[];
  error: string | undefined;
  save: (items: MenuItem[]) => void;
}

export const freshItem = (target: Link | null, label = ''): MenuItem => ({
  id: newId('m'),
  label,
  target,
  ...usualItem,
  items: [],
});

const changed = (items: readonly MenuItem[], next: MenuItem): MenuItem[] =>
  items.map((item) => (item.id === next.id ? next : { ...item, items: changed(item.items, next) }));

/** Without one item; what stands below it goes with it. */
const without = (items: readonly MenuItem[], id: string): MenuItem[] =>
  items.filter((item) => item.id !== id).map((item) => ({ ...item, items: without(item.items, id) }));

/** A menu as a list: each item indented as deep as it stands. Saved at each change. */
export function MenuList({ title, hint, items, error, save }: Props) {
  const sensors = useDragSensors();
  const [dragged, setDragged] = useState<string | null>(null);
  const rows = flatItems(items);
  const draggedItem = rows.find(({ item }) => item.id === dragged)?.item;
  // What stands below goes along, and is no place to drop on.
  const goesAlong = new Set(draggedItem ? flatItems(draggedItem.items).map(({ item }) => item.id) : []);
  const shown = rows.filter(({ item }) => !goesAlong.has(item.id));
  const ids = shown.map(({ item }) => item.id);
  const { data: groups } = useGroups();
  const childrenOf = (categoryId: string) =>
    (groups?.categories ?? []).filter(({ parentId }) => parentId === categoryId).map(({ id }) => id);
  const put = (next: MenuItem[]) => next !== items && save(next);
  const onDragEnd = ({ active, over, delta }: DragEndEvent) => {
    setDragged(null);
    if (!over) return;
    const row = shown.find(({ item }) => item.id === active.id)!;
    put(movedItem(items, String(active.id), ids.indexOf(String(over.id)), row.level + Math.round(delta.x / STEP)));
  };
  const shift = (id: string, level: number, by: 1 | -1) => {
    const at = rows.findIndex(({ item }) => item.id === id);
    put(movedItem(items, id, at, level + by));
  };
  return (
    <section aria-label={title} className="sheet flex w-[20rem] max-w-full flex-col gap-2 self-start p-3">
      <h2 className="font-display text-[15px] font-bold">{title}</h2>
      {items.length === 0 && <p className="text-ink-2">{hint}</p>}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragStart={({ active }) => setDragged(String(active.id))}
        onDragEnd={onDragEnd}
        onDragCancel={() => setDragged(null)}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ul className="flex flex-col">
            {shown.map(({ item, level }) => (
              <MenuRow
                key={item.id}
                item={item}
                level={level}
                change={(next) => save(changed(items, next))}
                writeOut={() => save(writtenOut(items, item.id, childrenOf, () => newId('m')))}
                remove={() => save(without(items, item.id))}
                shift={(by) => shift(item.id, level, by)}
              />
            ))}
          </ul>
        </SortableContext>
      </DndContext>
      <div className="flex items-center gap-1.5">
        <Plus size={13} className="shrink-0 text-ink-2" aria-hidden="true" />
        <div className="min-w-0 flex-1">
          <LinkField
            label={`Add to ${title.charAt(0).toLowerCase()}${title.slice(1)}`}
            link={null}
            change={(link) => link && save([...items, freshItem(link)])}
          />
        </div>
        <Button look="bare" onClick={() => save([...items, freshItem(null, 'A heading')])}>
          Add a heading
        </Button>
      </div>
      {error && (
        <p role="alert" className="text-rose-ink">
          Not saved: {error}
        </p>
      )}
    </section>
  );
}
