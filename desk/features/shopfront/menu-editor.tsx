import { CornerDownRight, Plus, X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { CallError, wordsOf } from '../../data/api';
import { Choose } from '../../shared/ui/choose';
import { NameField } from '../../shared/ui/name-field';
import { SortableRows } from '../../shared/ui/sortable-rows';
import { useShopfrontWrites, type WantedMenu } from '../../data/shopfront';
import { newId } from '../../shared/new-id';
import { targetOf, useTargets } from './targets';

type Item = WantedMenu['items'][number];
type SubItem = Item['items'][number];

interface LineProps {
  item: SubItem;
  grip: ReactNode;
  change: (item: SubItem) => void;
  remove: () => void;
  children?: ReactNode;
}

function Line({ item, grip, change, remove, children }: LineProps) {
  const { nameOf } = useTargets();
  const name = nameOf(item.target);
  return (
    <div className="flex items-center gap-1">
      {grip}
      <NameField
        aria-label={`Words in the menu for ${name ?? 'a deleted thing'}`}
        value={item.label}
        keep={(label) => change({ ...item, label })}
        placeholder={name ?? 'leads to something deleted'}
        maxLength={60}
        className={`min-w-0 flex-1 rounded-md border border-transparent bg-transparent px-1.5 py-1 hover:border-line focus:border-line ${name ? 'placeholder:text-ink' : 'placeholder:text-rose'}`}
      />
      {children}
      <button
        type="button"
        aria-label={`Remove ${item.label || name || 'this item'} from the menu`}
        onClick={remove}
        className="rounded p-1 text-ink-2 hover:text-rose"
      >
        <X size={13} aria-hidden="true" />
      </button>
    </div>
  );
}

/** The header menu, in order, with one level below each item. Saved at each change. */
export function MenuEditor({ menu }: { menu: WantedMenu }) {
  const { setMenu } = useShopfrontWrites();
  const { choices } = useTargets();
  const [below, setBelow] = useState<number | null>(null);
  const [draft, setDraft] = useState<Item[] | null>(null);
  const items = draft ?? menu.items;
  const save = (next: Item[]) => {
    setDraft(next);
    setMenu.mutate({ items: next, was: { items } }, { onSuccess: () => setDraft(null) });
  };
  const set = (at: number, item: Item) => save(items.map((each, i) => (i === at ? item : each)));
  const error = setMenu.error;
  return (
    <section aria-label="Header menu" className="sheet w-[270px] shrink-0 self-start p-3">
      <h2 className="mb-2 font-display text-[15px] font-bold">Menu</h2>
      {items.length === 0 && (
        <p className="pb-2 text-ink-2">The menu is empty, so shoppers find goods only by search.</p>
      )}
      <SortableRows
        items={items}
        keyOf={({ id }) => id!}
        reorder={save}
        draw={(item, grip, at) => (
          <div>
            <Line
              item={item}
              grip={grip}
              change={(next) => set(at, { ...item, ...next })}
              remove={() => save(items.filter((_, i) => i !== at))}
            >
              <button
                type="button"
                title="Add below it"
                aria-label="Add an item below it"
                onClick={() => setBelow(below === at ? null : at)}
                className="rounded p-1 text-ink-2 hover:text-ink"
              >
                <CornerDownRight size={13} aria-hidden="true" />
              </button>
            </Line>
            <SortableRows
              items={item.items}
              keyOf={({ id }) => id!}
              reorder={(rows) => set(at, { ...item, items: rows })}
              className="ml-5 border-l border-line pl-1"
              draw={(sub, subGrip, place) => (
                <Line
                  item={sub}
                  grip={subGrip}
                  change={(next) =>
                    set(at, { ...item, items: item.items.map((each, i) => (i === place ? next : each)) })
                  }
                  remove={() => set(at, { ...item, items: item.items.filter((_, i) => i !== place) })}
                />
              )}
            />
            {below === at && (
              <div className="mb-1 ml-6">
                <Choose
                  label="Add below"
                  choices={choices}
                  choose={(key) => {
                    set(at, { ...item, items: [...item.items, { id: newId('m'), label: '', target: targetOf(key) }] });
                    setBelow(null);
                  }}
                  className="w-48"
                />
              </div>
            )}
          </div>
        )}
      />
      <div className="mt-2 flex items-center gap-1.5">
        <Plus size={13} className="text-ink-2" aria-hidden="true" />
        <Choose
          label="Add to the menu"
          choices={choices}
          choose={(key) => save([...items, { id: newId('m'), label: '', target: targetOf(key), items: [] }])}
          className="w-52"
        />
      </div>
      {error && (
        <p role="alert" className="mt-2 text-rose-ink">
          Not saved: {error instanceof CallError ? (error.errors[0]?.message ?? error.message) : wordsOf(error)}
        </p>
      )}
    </section>
  );
}
