import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { EyeOff, GripVertical, Settings2, X } from 'lucide-react';
import { useState, type KeyboardEvent } from 'react';
import type { MenuItem } from '../../../../core/model/menu';
import { NameField } from '../../../shared/ui/name-field';
import { useTargets } from '../../../shared/pickers/targets';
import { ItemFields } from './item-fields';

export const STEP = 24;

interface Props {
  item: MenuItem;
  level: number;
  change: (item: MenuItem) => void;
  /** its subcategories become items of their own */
  writeOut: () => void;
  remove: () => void;
  /** a level deeper or, with -1, less deep */
  shift: (by: 1 | -1) => void;
}

/** One item of a menu: dragged up, down and to the side by its grip, or moved with Space and the arrow keys. */
export function MenuRow({ item, level, change, writeOut, remove, shift }: Props) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: item.id });
  const [isOpen, setOpen] = useState(false);
  const { target } = item;
  const { nameOf, whyNotMet } = useTargets('', target?.kind === 'product' ? [target.id] : []);
  const name = target === null ? undefined : target.kind === 'address' ? target.url : nameOf(target);
  const called = item.label || name || 'this item';
  const shut = target === null || target.kind === 'address' ? undefined : whyNotMet(target);
  const isGone = target !== null && name === undefined;
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key] as 1 | -1 | undefined;
    if (by === undefined || isDragging) return;
    event.preventDefault();
    shift(by);
  };
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition, marginLeft: level * STEP }}
      className={clsx('flex flex-col gap-1', isDragging && 'relative z-10 rounded-lg bg-sheet shadow')}
    >
      <div className="flex items-center gap-1">
        <span onKeyDown={keys} role="presentation">
          <button
            type="button"
            {...attributes}
            {...listeners}
            aria-label={`Move ${called}: drag up, down or to the side; or Space and the arrow keys, left and right for its level`}
            className="cursor-grab touch-none rounded p-1 text-ink-2 hover:text-ink"
          >
            <GripVertical size={14} aria-hidden="true" />
          </button>
        </span>
        <NameField
          aria-label={`Words in the menu for ${name ?? (target ? 'a deleted thing' : 'a heading')}`}
          value={item.label}
          keep={(label) => change({ ...item, label })}
          placeholder={name ?? (target ? 'leads to something deleted' : 'a heading')}
          maxLength={60}
          className={clsx(
            'min-w-0 flex-1 rounded-md border border-transparent bg-transparent px-1.5 py-1 hover:border-line focus:border-line',
            isGone ? 'placeholder:text-rose' : 'placeholder:text-ink',
            target === null && 'font-semibold',
            item.hidden && 'opacity-50',
          )}
        />
        {item.withChildren && <span className="shrink-0 text-xs text-ink-2">and all below it</span>}
        {shut && shut !== 'no way in' && <span className="shrink-0 text-xs text-rose-ink">{shut}</span>}
        {item.hidden && <EyeOff size={13} className="shrink-0 text-ink-2" aria-label="hidden" />}
        <button
          type="button"
          aria-expanded={isOpen}
          aria-label={`More about ${called}`}
          title="More"
          onClick={() => setOpen(!isOpen)}
          className="rounded p-1.5 text-ink-2 hover:text-ink"
        >
          <Settings2 size={13} aria-hidden="true" />
        </button>
        <button
          type="button"
          aria-label={`Remove ${called} from the menu`}
          onClick={remove}
          className="rounded p-1.5 text-ink-2 hover:text-rose"
        >
          <X size={13} aria-hidden="true" />
        </button>
      </div>
      {isOpen && <ItemFields item={item} isTop={level === 0} change={change} writeOut={writeOut} />}
    </li>
  );
}
