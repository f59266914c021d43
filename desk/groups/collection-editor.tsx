import { ChevronLeft } from 'lucide-react';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { routes } from '../../contract';
import type { Shelf } from '../../contract/groups';
import type { BodyInput } from '../../contract/route';
import { collectionSorts, type CollectionSort } from '../../core/catalog/group';
import type { Rule } from '../../core/rules/rule';
import { CallError } from '../api';
import { useFound } from '../frame/queries';
import { useTray } from '../frame/tray-store';
import { useShopWindow } from '../frame/window-state';
import { useSettings } from '../shopfront/queries';
import { Button } from '../ui/button';
import { useConfirm } from '../ui/confirm';
import { TextArea, TextField } from '../ui/field';
import { SaveStateWords } from '../ui/save-state';
import { Select } from '../ui/select';
import { Empty, Failed, Loading } from '../ui/states';
import { Thumb } from '../ui/thumb';
import { useAutosave } from '../use-autosave';
import { Board } from './board';
import { useTriedRule } from '../rules/queries';
import { RuleField } from '../rules/rule-field';
import { useGroupWrites, useShelf } from './queries';

const sortWords: Record<CollectionSort, string> = {
  featured: 'featured first, then newest',
  newest: 'newest first',
  'price-up': 'price, low to high',
  'price-down': 'price, high to low',
  title: 'by name',
};

type Fields = BodyInput<typeof routes.groups.updateCollection>;

function AddGoods({ shelf, add }: { shelf: Shelf; add: (ids: string[]) => void }) {
  const [typed, setTyped] = useState('');
  const { data } = useFound(typed);
  const inTray = useTray().filter((id) => !shelf.picked.includes(id));
  const found =
    typed.trim() === ''
      ? []
      : (data?.found ?? []).filter(({ kind, id }) => kind === 'product' && !shelf.picked.includes(id));
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-end gap-2">
        <div className="w-72">
          <TextField
            label="Add goods"
            placeholder="Title or SKU"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </div>
        {inTray.length > 0 && <Button onClick={() => add(inTray)}>Add {inTray.length} from the tray</Button>}
      </div>
      {found.length > 0 && (
        <ul className="sheet max-w-md p-1">
          {found.map((hit) => (
            <li key={hit.id}>
              <button
                type="button"
                onClick={() => add([hit.id])}
                className="flex w-full items-center gap-3 rounded-md px-2 py-1 text-left hover:bg-marigold-soft"
              >
                <Thumb src={hit.thumbnail} className="size-7" />
                <span className="truncate font-medium">{hit.label}</span>
                <span className="ml-auto text-xs text-ink-2">{hit.note}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function ByRule({
  rule,
  sort,
  change,
  error,
}: {
  rule: Rule;
  sort: CollectionSort;
  change: (rule: Rule) => void;
  error?: string;
}) {
  const { data: settings } = useSettings();
  const { data: tried } = useTriedRule(useDeferredValue(rule), sort);
  const currency = settings?.currency ?? 'EUR';
  return (
    <>
      <section className="sheet p-3.5">
        <RuleField rule={rule} change={change} error={error} sort={sort} />
      </section>
      <section className="sheet pt-3" aria-live="polite">
        <h2 className="px-3.5 pb-1 font-display text-[15px] font-bold">
          {tried ? `${tried.total} in` : '…'}
          <span className="ml-2 font-sans text-xs font-normal text-ink-2">as shoppers will see them</span>
        </h2>
        {tried && tried.total > 0 ? (
          <Board goods={tried.goods} currency={currency} wraps />
        ) : (
          <p className="px-3.5 pb-4 text-ink-2">
            {rule.of.length === 0 ? 'A rule without conditions takes in nothing.' : 'No product meets this.'}
          </p>
        )}
      </section>
    </>
  );
}

function Editor({ shelf }: { shelf: Shelf }) {
  const { updateCollection, deleteCollection } = useGroupWrites();
  const { data: settings } = useSettings();
  const navigate = useNavigate();
  const [ask, dialog] = useConfirm();
  const save = useAutosave({
    seen: 0,
    save: async (values) => {
      await updateCollection.mutateAsync({ id: shelf.id, ...(values as Fields) });
      return 0;
    },
    keyOf: (path) => String(path[0]),
  });
  useShopWindow(
    `/g/${shelf.slug}`,
    shelf.ways.length > 0
      ? `Found by: ${shelf.ways.join(', ')}`
      : 'No way in yet: put it in the menu or on a page (Shopfront).',
  );
  const value = <K extends 'name' | 'text' | 'slug' | 'sort' | 'rule' | 'picked'>(key: K) =>
    (key in save.drafts ? save.drafts[key] : shelf[key]) as Shelf[K];
  const bind = (key: 'name' | 'text' | 'slug') => ({
    value: value(key),
    error: save.errors[key],
    unsaved: key in save.drafts,
    onChange: (event: { target: { value: string } }) => save.change({ [key]: event.target.value }),
  });
  const picked = value('picked');
  const goods = picked.flatMap((id) => shelf.goods.find((row) => row.id === id) ?? []);
  return (
    <div className="relative min-w-0 flex-1 overflow-y-auto">
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-2.5 bg-paper px-4 py-2.5">
        <Link to="/groups" aria-label="Back to all shelves" className="rounded-md p-1 text-ink-2 hover:text-ink">
          <ChevronLeft size={16} aria-hidden="true" />
        </Link>
        <h1 className="truncate font-display text-xl font-bold">{value('name')}</h1>
        <span className="text-ink-2">{shelf.source === 'rule' ? 'filled by rule' : 'picked by hand'}</span>
        <SaveStateWords state={save.state} problem={save.problem} retry={save.retry} />
        <Button
          look="bare"
          className="ml-auto !text-rose"
          onClick={() =>
            ask({
              title: `Delete “${shelf.name}”?`,
              detail: 'Its goods stay. Strips and menu items that show it will be empty. It can be undone.',
              doIt: 'Delete the collection',
              run: () => deleteCollection.mutate(shelf.id, { onSuccess: () => void navigate('/groups') }),
            })
          }
        >
          Delete
        </Button>
      </div>
      <div className="flex flex-col gap-3 px-4 pb-6">
        <section className="sheet grid grid-cols-2 gap-3 p-3.5">
          <TextField label="Name" {...bind('name')} />
          <TextField label="Address" hint={`…/g/${value('slug')}`} {...bind('slug')} />
          <div className="col-span-2">
            <TextArea label="Text" rows={2} hint="Shoppers read it above the goods" {...bind('text')} />
          </div>
          {shelf.source === 'rule' && (
            <div className="col-span-2 flex items-center gap-2">
              <span className="font-semibold">Order</span>
              <Select
                label="Order"
                value={value('sort')}
                choices={collectionSorts.map((key) => ({ value: key, label: sortWords[key] }))}
                choose={(sort) => save.change({ sort })}
              />
            </div>
          )}
        </section>
        {shelf.source === 'rule' ? (
          <ByRule
            rule={value('rule')}
            sort={value('sort')}
            change={(rule) => save.change({ rule })}
            error={save.errors.rule}
          />
        ) : (
          <>
            <section className="sheet pt-3">
              <h2 className="px-3.5 pb-1 font-display text-[15px] font-bold">
                {picked.length} goods
                <span className="ml-2 font-sans text-xs font-normal text-ink-2">
                  drag along the shelf, or focus one and use Space and the arrow keys
                </span>
              </h2>
              {goods.length > 0 ? (
                <Board
                  goods={goods}
                  currency={settings?.currency ?? 'EUR'}
                  wraps
                  reorder={(ids) => save.change({ picked: ids })}
                  remove={(id) => save.change({ picked: picked.filter((each) => each !== id) })}
                />
              ) : (
                <p className="px-3.5 pb-4 text-ink-2">Nothing on this shelf yet.</p>
              )}
            </section>
            <AddGoods shelf={shelf} add={(ids) => save.change({ picked: [...picked, ...ids] })} />
          </>
        )}
      </div>
      {dialog}
    </div>
  );
}

export function CollectionEditor({ id }: { id: string }) {
  const { data, error } = useShelf(id);
  if (error instanceof CallError && error.is('notFound'))
    return (
      <Empty
        title="This collection is gone"
        action={
          <Link to="/groups" className="font-semibold text-petrol hover:underline">
            To all shelves
          </Link>
        }
      >
        It was deleted, perhaps in another tab. Undo (Ctrl/Cmd + Z) brings it back.
      </Empty>
    );
  if (error && !data) return <Failed error={error} />;
  if (!data) return <Loading />;
  return <Editor key={id} shelf={data} />;
}
