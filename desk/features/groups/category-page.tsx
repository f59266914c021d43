import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { CategoryRow } from '../../../contract/groups';
import type { AnswerOf } from '../../../contract/route';
import type { groupRoutes } from '../../../contract/groups';
import { CallError } from '../../data/api';
import { useShopWindow } from '../../shared/window-state';
import { AddProduct } from '../../shared/pickers/add-product';
import { goodsAddress, goodsWith } from '../../shared/goods-address';
import { useSpecSheets } from '../../data/goods';
import { useSettings } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { count, products } from '../../shared/ui/count';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Select } from '../../shared/ui/select';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { Tick } from '../../shared/ui/tick';
import { Board } from './board';
import { categoryChoices } from '../../shared/pickers/category-choices';
import { DeleteCategory } from './delete-category';
import { Ways } from './ways';
import { StatusTag } from '../../shared/ui/swing-tag';
import { MergeDialog } from './merge-dialog';
import { Clashes } from '../../shared/ui/clashes';
import { OrderField } from './order-field';
import { GroupPageFields } from './page-fields';
import { pinnedFirst, pinsAfterMove } from './pins';
import { useCategory, useCategoryWrites, useGroups } from '../../data/groups';
import { useNotMet } from '../../data/shopfront';
import { useGroupEditor, type GroupEditor } from './use-group-editor';
import { unseenWords } from '../../shared/ui/unseen';
import { useTitle } from '../../shared/ui/use-title';

type Whole = AnswerOf<typeof groupRoutes.category>;
type CategoryEditor = GroupEditor<CategoryRow>;

function SuggestedSheet({ editor, whole }: { editor: CategoryEditor; whole: Whole }) {
  const { data } = useSpecSheets();
  const sheets = data?.sheets ?? [];
  const { id } = whole.category;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="font-semibold">Spec sheet suggested to what is in it</span>
      <Select
        label="Spec sheet"
        value={editor.value('specSheetId') ?? ''}
        choices={[{ value: '', label: 'none' }, ...sheets.map((sheet) => ({ value: sheet.id, label: sheet.name }))]}
        choose={(sheetId) => editor.change({ specSheetId: sheetId || null })}
      />
      {whole.withoutSheet > 0 && (
        <Link to={goodsWith('category', id)} className="text-petrol hover:underline">
          {products(whole.withoutSheet)} without one
        </Link>
      )}
    </div>
  );
}

function Actions({ row }: { row: CategoryRow }) {
  const { data } = useGroups();
  const notMet = useNotMet();
  const { merge } = useCategoryWrites();
  const navigate = useNavigate();
  const [doing, setDoing] = useState<'merge' | 'delete' | null>(null);
  const categories = data?.categories ?? [];
  return (
    <>
      <Button look="bare" onClick={() => setDoing('merge')}>
        Merge …
      </Button>
      <Button look="bare" className="!text-rose" onClick={() => setDoing('delete')}>
        Delete
      </Button>
      {doing === 'merge' && (
        <MergeDialog
          title={`Merge “${row.name}” into another category`}
          detail="Its products, the categories below it, rules and links that name it, and its address go over."
          choices={categoryChoices(categories, (id) => notMet('category', id)).filter(({ value }) => value !== row.id)}
          merge={(into) =>
            merge.mutate({ id: row.id, into }, { onSuccess: () => void navigate(`/groups/category/${into}`) })
          }
          close={() => setDoing(null)}
        />
      )}
      {doing === 'delete' && (
        <DeleteCategory
          row={row}
          categories={categories}
          close={(isGone) => {
            setDoing(null);
            if (isGone) void navigate('/groups');
          }}
        />
      )}
    </>
  );
}

function CategoryGoods({ whole, editor, currency }: { whole: Whole; editor: CategoryEditor; currency: string }) {
  const pins = editor.value('pins');
  const { goods, category } = whole;
  const { add } = useCategoryWrites();
  return (
    <section className="sheet pt-3" aria-label="Goods in this category">
      <h2 className="flex flex-wrap items-baseline gap-x-2 px-3.5 pb-1 font-display text-[15px] font-bold">
        {count(category.count)} {category.count === 1 ? 'good' : 'goods'}
        <span className="font-sans text-xs font-normal text-ink-2">
          {category.own !== category.count && `${count(category.own)} in it itself · `}
          drag one to hold it there; the others follow their order
        </span>
        <Link
          to={goodsWith('category', category.id)}
          className="ml-auto font-sans text-[13px] font-semibold text-petrol hover:underline"
        >
          as a list
        </Link>
      </h2>
      {goods.length > 0 ? (
        <Board
          goods={editor.value('order').soldOutLast ? goods : pinnedFirst(goods, pins)}
          currency={currency}
          wraps
          pins={pins}
          togglePin={(id) =>
            editor.change({ pins: pins.includes(id) ? pins.filter((each) => each !== id) : [...pins, id] })
          }
          reorder={(ids, moved) => editor.change({ pins: pinsAfterMove(ids, moved, pins) })}
        />
      ) : (
        <p className="px-3.5 pb-4 text-ink-2">
          {category.count > 0
            ? 'Nothing here is on the shop yet.'
            : 'Nothing in it yet. Add a product here, or drag goods or the tray onto its name in the tree.'}
        </p>
      )}
      <div className="px-3.5 pb-3 pt-3">
        <AddProduct taken={goods.map(({ id }) => id)} add={(id) => add.mutate({ id: category.id, ids: [id] })} />
      </div>
    </section>
  );
}

function Editor({ whole }: { whole: Whole }) {
  const { category } = whole;
  const { change } = useCategoryWrites();
  const { data: settings } = useSettings();
  const editor: CategoryEditor = useGroupEditor(
    category,
    (values, was) => change.mutateAsync({ id: category.id, ...values, was }),
    `/c/${category.slug}`,
  );
  useTitle(editor.value('name'));
  useShopWindow(
    `/c/${category.slug}`,
    category.ways.length > 0
      ? `Found by: ${category.ways.join(', ')}`
      : 'No way in yet: put it in the menu (Shopfront).',
    unseenWords('category', category.shownStatus),
  );
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-2">
        <h1 className="max-w-[50%] truncate font-display text-xl font-bold">{editor.value('name')}</h1>
        <StatusTag shownStatus={category.shownStatus} />
        <Ways ways={category.ways} />
        <SaveStateWords save={editor.save} />
        <span className="ml-auto flex items-center">
          <Actions row={category} />
        </span>
      </header>
      <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto p-3.5 pb-8">
        <Clashes save={editor.save} />
        <CategoryGoods whole={whole} editor={editor} currency={settings?.currency ?? 'EUR'} />
        <section className="sheet flex flex-col gap-3 p-3.5" aria-label="Page of the category">
          <OrderField order={editor.value('order')} change={(order) => editor.change({ order })} />
          <SuggestedSheet editor={editor} whole={whole} />
          <Tick
            label="On the shop, with what is below it"
            checked={editor.value('status') === 'live'}
            change={(isLive) => editor.change({ status: isLive ? 'live' : 'off' })}
          />
          <GroupPageFields kind="category" path="c" id={category.id} editor={editor} />
        </section>
      </div>
    </div>
  );
}

/** One category: its goods as they stand, and what its page says. */
export function CategoryPage() {
  const id = useParams().id!;
  const { data, error } = useCategory(id);
  if (error instanceof CallError && error.is('notFound'))
    return (
      <div className="flex-1">
        <Empty
          title="This category is gone"
          action={
            <Link
              to={goodsAddress({ field: 'category', is: 'empty', value: null })}
              className="font-semibold text-petrol hover:underline"
            >
              Goods in no category
            </Link>
          }
        >
          It was deleted or merged, perhaps in another tab. Undo (Ctrl/Cmd + Z) brings it back.
        </Empty>
      </div>
    );
  if (error && !data) return <Failed error={error} />;
  if (!data) return <Loading />;
  return <Editor key={id} whole={data} />;
}
