import clsx from 'clsx';
import { toast } from 'sonner';
import { useCategoryWrites, useCollectionWrites, useGroups } from '../../data/groups';
import { useGoodsDrop } from '../../shared/ui/goods-drag';

interface PlaceProps {
  name: string;
  count: number;
  level: number;
  take: (ids: string[]) => void;
}

function Place({ name, count, level, take }: PlaceProps) {
  const { isOver, props } = useGoodsDrop(take);
  return (
    <li
      {...props}
      className={clsx('flex justify-between gap-2 rounded-md py-1 pr-2', isOver ? 'bg-petrol text-sheet' : 'text-ink')}
      style={{ paddingLeft: 8 + (level - 1) * 13 }}
    >
      <span className="truncate">{name}</span>
      <span className={clsx('shrink-0', !isOver && 'text-ink-2')}>{count}</span>
    </li>
  );
}

/** Comes out at the left while goods are dragged: the category tree and the shelves picked by hand, to drop them on. */
export default function DropPlaces() {
  const { data } = useGroups();
  const { add: intoCategory } = useCategoryWrites();
  const { add: ontoShelf } = useCollectionWrites();
  const shelves = (data?.shelves ?? []).filter(({ source }) => source === 'picked');
  const heading = 'px-2 pb-1 pt-3 font-display text-[15px] font-bold';
  return (
    <aside
      aria-label="Places for these goods"
      className="absolute inset-y-0 left-0 z-40 w-[195px] overflow-y-auto border-r border-line bg-paper px-2 pb-3 shadow-xl"
    >
      <h2 className={heading}>Put into a category</h2>
      <ul>
        {(data?.categories ?? []).map(({ id, name, own, level }) => (
          <Place
            key={id}
            name={name}
            count={own}
            level={level}
            take={(ids) =>
              intoCategory.mutate({ id, ids }, { onSuccess: ({ added }) => void toast(`${added} put into “${name}”`) })
            }
          />
        ))}
      </ul>
      {shelves.length > 0 && <h2 className={heading}>Put onto a shelf</h2>}
      <ul>
        {shelves.map(({ id, name, total }) => (
          <Place
            key={id}
            name={name}
            count={total}
            level={1}
            take={(ids) =>
              ontoShelf.mutate({ id, ids }, { onSuccess: ({ added }) => void toast(`${added} put onto “${name}”`) })
            }
          />
        ))}
      </ul>
    </aside>
  );
}
