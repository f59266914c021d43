import clsx from 'clsx';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import type { NamedRow } from '../../../contract/groups';
import { fold } from '../../../core/shared/fold';
import { useRunBulk } from '../../data/bulk';
import { useShopWindow } from '../../shared/window-state';
import { goodsWith } from '../../shared/goods-address';
import { Button } from '../../shared/ui/button';
import { useConfirm } from '../../shared/ui/confirm';
import { count, products } from '../../shared/ui/count';
import { useGoodsDrop } from '../../shared/ui/goods-drag';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Select } from '../../shared/ui/select';
import { Empty } from '../../shared/ui/states';
import { Tick } from '../../shared/ui/tick';
import { GroupTabs } from './group-tabs';
import { MergeDialog } from './merge-dialog';
import { NameLine } from './name-line';
import { Clashes } from '../../shared/ui/clashes';
import { GroupPageFields } from './page-fields';
import { useGroups, useNamedWrites, type NamedKind } from '../../data/groups';
import { useGroupEditor, type GroupEditor } from './use-group-editor';
import { WhatBreaks } from '../../shared/what-breaks';
import { useTitle } from '../../shared/ui/use-title';

const wordsOf = { tag: { one: 'tag', many: 'tags', path: 't' }, brand: { one: 'brand', many: 'brands', path: 'b' } };

interface Merging {
  from: NamedRow;
  into?: string;
}

/** Names that look like one written twice, with the way out. */
function Near({
  kind,
  list,
  merge,
}: {
  kind: NamedKind;
  list: readonly NamedRow[];
  merge: (merging: Merging) => void;
}) {
  const { data } = useGroups();
  const byId = new Map(list.map((row) => [row.id, row]));
  const pairs = (data?.near ?? []).flatMap(({ kind: of, a, b }) => {
    const [x, y] = [byId.get(a), byId.get(b)];
    if (of !== kind || !x || !y) return [];
    // What fewer products have is likely the slip.
    return [x.count <= y.count ? { from: x, into: y } : { from: y, into: x }];
  });
  if (pairs.length === 0) return null;
  return (
    <section className="mx-4 mb-3 rounded-[10px] bg-marigold-soft px-3.5 py-2.5" aria-label="Written twice?">
      <h2 className="font-semibold text-marigold-ink">Written twice?</h2>
      <ul className="mt-1 flex flex-col gap-1">
        {pairs.slice(0, 8).map(({ from, into }) => (
          <li key={`${from.id} ${into.id}`} className="flex items-center gap-2">
            <span>
              “{from.name}” ({count(from.count)}) and “{into.name}” ({count(into.count)})
            </span>
            <button
              type="button"
              onClick={() => merge({ from, into: into.id })}
              className="font-semibold text-petrol hover:underline"
            >
              Merge …
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Details({ kind, row, merge }: { kind: NamedKind; row: NamedRow; merge: (merging: Merging) => void }) {
  const { change, remove } = useNamedWrites(kind);
  const navigate = useNavigate();
  const [ask, dialog] = useConfirm();
  const { one, many, path } = wordsOf[kind];
  const editor: GroupEditor<NamedRow> = useGroupEditor(
    row,
    (values, was) => change.mutateAsync({ id: row.id, ...values, was }),
    `/${path}/${row.slug}`,
  );
  useShopWindow(
    `/${path}/${row.slug}`,
    null,
    row.listed ? null : `Shoppers cannot see this page: the ${one} has no page of its own.`,
  );
  return (
    <section
      className="sheet flex max-h-full w-[360px] shrink-0 flex-col gap-3 self-start overflow-y-auto p-3.5 @max-[600px]:w-full"
      aria-label={row.name}
    >
      <div className="flex items-center gap-2">
        <h2 className="truncate font-display text-[15px] font-bold">{row.name}</h2>
        <SaveStateWords save={editor.save} />
        <Link to={`/groups/${many}`} className="ml-auto text-ink-2 hover:text-ink">
          Close
        </Link>
      </div>
      <Clashes save={editor.save} />
      <Link to={goodsWith(kind, row.id)} className="font-semibold text-petrol hover:underline">
        {products(row.count)}
      </Link>
      <Tick
        label={`A page of its own in the shop${kind === 'tag' ? '; without a text search engines are kept away' : ''}`}
        checked={editor.value('listed')}
        change={(listed) => editor.change({ listed })}
      />
      <GroupPageFields kind={kind} path={path} id={row.id} editor={editor} />
      <div className="flex gap-2">
        <Button onClick={() => merge({ from: row })}>Merge into another …</Button>
        <Button
          look="bare"
          className="!text-rose"
          onClick={() =>
            ask({
              title: `Delete ${one} “${row.name}”?`,
              detail: (
                <>
                  {products(row.count)} {row.count === 1 ? 'loses' : 'lose'} it. Undo brings it back.
                  <WhatBreaks kind={kind} id={row.id} />
                </>
              ),
              doIt: `Delete the ${one}`,
              run: () => remove.mutate(row.id, { onSuccess: () => void navigate(`/groups/${many}`) }),
            })
          }
        >
          Delete
        </Button>
      </div>
      {dialog}
    </section>
  );
}

interface LineProps {
  kind: NamedKind;
  row: NamedRow;
  isOpen: boolean;
  /** goods of the one that has most */
  most: number;
}

/** One tag or brand; goods that are dropped on it get it. */
function NamedLine({ kind, row, isOpen, most }: LineProps) {
  const { mutate: run } = useRunBulk();
  const { many } = wordsOf[kind];
  const { isOver, props } = useGoodsDrop((ids) =>
    run({
      which: { ids },
      request: kind === 'tag' ? { do: 'tags', how: 'add', ids: [row.id] } : { do: 'brand', id: row.id },
    }),
  );
  return (
    <li {...props}>
      <Link
        to={isOpen ? `/groups/${many}` : `/groups/${many}/${row.id}`}
        aria-current={isOpen ? 'page' : undefined}
        className={clsx(
          'flex items-center gap-3 px-3 py-1.5 hover:bg-sunk/60',
          isOpen && 'bg-marigold-soft font-semibold',
          isOver && 'bg-petrol-soft',
        )}
      >
        <span className="min-w-0 flex-1 truncate">{row.name}</span>
        {row.listed && <span className="shrink-0 text-xs text-ink-2">has a page</span>}
        <span className="h-[5px] w-20 shrink-0 rounded bg-sunk" aria-hidden="true">
          <span className="block h-full rounded bg-petrol" style={{ width: `${(row.count / most) * 100}%` }} />
        </span>
        <span className={clsx('w-12 shrink-0 text-right', row.count === 0 && 'text-rose')}>{count(row.count)}</span>
      </Link>
    </li>
  );
}

type Sort = 'name' | 'most' | 'fewest';
const sorts: { value: Sort; label: string }[] = [
  { value: 'name', label: 'by name' },
  { value: 'most', label: 'most goods first' },
  { value: 'fewest', label: 'fewest first' },
];

function arranged(list: readonly NamedRow[], sort: Sort, wanted: string): NamedRow[] {
  const found = list.filter(({ name }) => fold(name).includes(fold(wanted).trim()));
  if (sort === 'name') return found;
  return found.sort((a, b) => (sort === 'most' ? b.count - a.count : a.count - b.count));
}

/** All tags, or all brands: with counts, what looks written twice, and the page of the one that is open. */
export function NamedPage({ kind }: { kind: NamedKind }) {
  useTitle(kind === 'tag' ? 'Tags' : 'Brands');
  const { id } = useParams();
  const { data } = useGroups();
  const { create, merge } = useNamedWrites(kind);
  const navigate = useNavigate();
  const [wanted, setWanted] = useState('');
  const [sort, setSort] = useState<Sort>('name');
  const [isAdding, setAdding] = useState(false);
  const [merging, setMerging] = useState<Merging | null>(null);
  const { one, many } = wordsOf[kind];
  const list = (kind === 'tag' ? data?.tags : data?.brands) ?? [];
  const rows = arranged(list, sort, wanted);
  const open = list.find((row) => row.id === id);
  const most = Math.max(1, ...list.map((row) => row.count));
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <GroupTabs>
        <Button look="main" onClick={() => setAdding(true)}>
          New {one}
        </Button>
      </GroupTabs>
      <Near kind={kind} list={list} merge={setMerging} />
      <div className="flex flex-wrap items-center gap-2 px-4 pb-2">
        <input
          type="search"
          aria-label={`Find a ${one}`}
          placeholder={`Find a ${one}`}
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          className="field !w-44"
        />
        <Select label="Sorted" value={sort} choices={sorts} choose={(value) => setSort(value as Sort)} />
        <span className="ml-auto text-ink-2">
          {count(list.length)} {list.length === 1 ? one : many}
        </span>
      </div>
      <div className="@container flex min-h-0 flex-1 gap-3 px-4 pb-4">
        <ul
          className={clsx(
            'sheet min-w-0 flex-1 self-start overflow-y-auto py-1 max-h-full',
            open && '@max-[600px]:hidden',
          )}
        >
          {isAdding && (
            <li className="px-2.5 py-1">
              <NameLine
                label={`Name of the new ${one}`}
                placeholder="Name, then Enter"
                keep={(name, goesOn) => {
                  create.mutate(name, {
                    onSuccess: (thing) => toast(`${one === 'tag' ? 'Tag' : 'Brand'} “${thing.name}”`),
                  });
                  if (!goesOn) setAdding(false);
                }}
                stop={() => setAdding(false)}
              />
            </li>
          )}
          {list.length === 0 && !isAdding && (
            <li>
              <Empty title={`No ${many} yet`}>
                {kind === 'tag'
                  ? 'Tags are words of your own on goods: for rules, filters and the tray.'
                  : 'A brand says who made the goods. Shoppers can narrow by it.'}
              </Empty>
            </li>
          )}
          {rows.map((row) => (
            <NamedLine key={row.id} kind={kind} row={row} isOpen={row.id === id} most={most} />
          ))}
        </ul>
        {open && <Details key={open.id} kind={kind} row={open} merge={setMerging} />}
      </div>
      {merging && (
        <MergeDialog
          title={`Merge “${merging.from.name}” into another ${one}`}
          detail={`${products(merging.from.count)} and all rules go over, and its address forwards.`}
          choices={list
            .filter((row) => row.id !== merging.from.id)
            .map((row) => ({ value: row.id, label: row.name, note: count(row.count) }))}
          first={merging.into}
          merge={(into) =>
            merge.mutate(
              { id: merging.from.id, into },
              {
                onSuccess: ({ moved }) => {
                  toast(`${products(moved)} went over`);
                  setMerging(null);
                  void navigate(`/groups/${many}/${into}`);
                },
              },
            )
          }
          close={() => setMerging(null)}
        />
      )}
    </div>
  );
}
