import { Hand, ListFilter, X } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { AnswerOf } from '../../contract/route';
import type { groupRoutes, Shelf } from '../../contract/groups';
import { useSettings } from '../shopfront/queries';
import { goodsWith } from '../goods/goods-address';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { TextField } from '../ui/field';
import { Empty, Failed, Loading } from '../ui/states';
import { SwingTag } from '../ui/swing-tag';
import { Board } from './board';
import { CategoryTree } from './category-tree';
import { CollectionEditor } from './collection-editor';
import { useGroups, useGroupWrites } from './queries';

function ShelfCard({ shelf, currency }: { shelf: Shelf; currency: string }) {
  const { updateCollection } = useGroupWrites();
  const isPicked = shelf.source === 'picked';
  const reorder = (ids: string[]) =>
    updateCollection.mutate({ id: shelf.id, picked: [...ids, ...shelf.picked.filter((id) => !ids.includes(id))] });
  return (
    <article className="sheet" aria-label={shelf.name}>
      <header className="flex items-start gap-3 px-3 pt-2.5">
        <h2 className="shrink-0 font-display text-[15px] font-bold">
          <Link to={`/groups/${shelf.id}`} className="hover:underline">
            {shelf.name}
          </Link>
        </h2>
        <p className="line-clamp-2 min-w-0 flex-1 pt-px text-ink-2">{isPicked ? 'picked by hand' : shelf.sentence}</p>
        <span className="shrink-0 pt-px text-ink-2">
          {shelf.total} {shelf.total === 1 ? 'good' : 'goods'}
        </span>
        {shelf.ways.length > 0 ? (
          <SwingTag look="petrol">{shelf.ways.slice(0, 2).join(' · ')}</SwingTag>
        ) : (
          <span className="shrink-0 pt-px font-semibold text-rose">on no page</span>
        )}
      </header>
      {shelf.problems.length > 0 && (
        <p role="alert" className="mx-3 mt-1 text-rose-ink">
          {shelf.problems[0]!.message}
        </p>
      )}
      {shelf.goods.length > 0 ? (
        <Board goods={shelf.goods} currency={currency} reorder={isPicked ? reorder : undefined} />
      ) : (
        <>
          <p className="px-3 py-5 text-ink-2">
            {isPicked
              ? 'Nothing on this shelf yet.'
              : shelf.rule.of.length === 0
                ? 'Give it a rule, and it fills itself.'
                : 'No product meets its rule today.'}{' '}
            <Link to={`/groups/${shelf.id}`} className="font-semibold text-petrol hover:underline">
              {isPicked ? 'Add goods' : 'See the rule'}
            </Link>
          </p>
          <div className="h-[5px] rounded-b-[9px] bg-board" aria-hidden="true" />
        </>
      )}
    </article>
  );
}

type Named = AnswerOf<typeof groupRoutes.overview>['tags'];

function NamedList({
  title,
  facet,
  list,
  remove,
}: {
  title: string;
  facet: string;
  list: Named;
  remove: (id: string) => void;
}) {
  if (list.length === 0) return null;
  return (
    <section className="sheet p-3.5">
      <h2 className="mb-2 font-display text-[15px] font-bold">{title}</h2>
      <ul className="flex flex-wrap gap-2">
        {list.map(({ id, name, count }) => (
          <li
            key={id}
            className="group flex items-center gap-1.5 rounded-lg border border-line bg-paper py-1 pl-2.5 pr-1.5"
          >
            <Link to={goodsWith(facet, id)} className="hover:underline">
              {name}
            </Link>
            <span className="text-xs text-ink-2">{count}</span>
            <button
              type="button"
              aria-label={`Delete ${name}`}
              onClick={() => remove(id)}
              className="rounded text-ink-2 hover:text-rose"
            >
              <X size={12} aria-hidden="true" />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function NewCollection({ source, close }: { source: Shelf['source']; close: () => void }) {
  const { createCollection } = useGroupWrites();
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const navigate = useNavigate();
  return (
    <Dialog
      title={source === 'rule' ? 'New collection, filled by rule' : 'New collection, picked by hand'}
      isOpen
      close={close}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return setError('A name is needed.');
          createCollection.mutate(
            { name, source },
            {
              onSuccess: (shelf) => {
                close();
                void navigate(`/groups/${shelf.id}`);
              },
            },
          );
        }}
      >
        <TextField
          label="Name"
          autoFocus
          value={name}
          error={error}
          onChange={(event) => setName(event.target.value)}
        />
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={close}>Cancel</Button>
          <Button look="main" type="submit">
            Make it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

function Shelves({ data }: { data: AnswerOf<typeof groupRoutes.overview> }) {
  const { data: settings } = useSettings();
  const { deleteTag, deleteBrand } = useGroupWrites();
  const [making, setMaking] = useState<Shelf['source'] | null>(null);
  const currency = settings?.currency ?? 'EUR';
  return (
    <div className="relative min-w-0 flex-1 overflow-y-auto">
      <div className="sticky top-0 z-10 flex flex-wrap items-center gap-3 bg-paper px-4 py-2.5">
        <h1 className="font-display text-2xl font-bold">Collections</h1>
        <span className="text-ink-2">
          {data.shelves.length} {data.shelves.length === 1 ? 'shelf' : 'shelves'} · drag goods along a shelf to order
          them
        </span>
        <div className="ml-auto flex gap-2">
          <Button onClick={() => setMaking('picked')}>
            <Hand size={14} aria-hidden="true" /> Pick by hand
          </Button>
          <Button look="main" onClick={() => setMaking('rule')}>
            <ListFilter size={14} aria-hidden="true" /> Fill by rule
          </Button>
        </div>
      </div>
      <div className="flex flex-col gap-3 px-4 pb-6">
        {data.shelves.length === 0 && (
          <Empty title="No collections yet">
            Pick goods by hand, or say by a rule which goods belong together; then place the collection on a page or in
            the menu.
          </Empty>
        )}
        {data.shelves.map((shelf) => (
          <ShelfCard key={shelf.id} shelf={shelf} currency={currency} />
        ))}
        <NamedList title="Tags" facet="tag" list={data.tags} remove={(id) => deleteTag.mutate(id)} />
        <NamedList title="Brands" facet="brand" list={data.brands} remove={(id) => deleteBrand.mutate(id)} />
      </div>
      {making && <NewCollection source={making} close={() => setMaking(null)} />}
    </div>
  );
}

export function GroupsPage() {
  const { id } = useParams();
  const { data, error, refetch } = useGroups();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  return (
    <div className="flex min-h-0 flex-1">
      <CategoryTree categories={data.categories} uncategorised={data.uncategorised} />
      {id ? <CollectionEditor id={id} /> : <Shelves data={data} />}
    </div>
  );
}
