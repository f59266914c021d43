import { ChevronLeft } from 'lucide-react';
import { useDeferredValue } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Shelf } from '../../../contract/groups';
import { CallError } from '../../data/api';
import { useShopWindow } from '../../shared/window-state';
import { useTriedRule } from '../../data/rules';
import { RuleField } from '../../shared/rules/rule-field';
import { useSettings } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { useConfirm } from '../../shared/ui/confirm';
import { count } from '../../shared/ui/count';
import { useGoodsDrop } from '../../shared/ui/goods-drag';
import { asItWas } from '../../shared/ui/where-one-was';
import { useTitle } from '../../shared/ui/use-title';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { AddGoods } from './add-goods';
import { Board } from './board';
import { CollectionTerms } from './collection-terms';
import { Ways } from './ways';
import { StatusTag } from '../../shared/ui/swing-tag';
import { Clashes } from '../../shared/ui/clashes';
import { OrderField } from './order-field';
import { GroupPageFields } from './page-fields';
import { useCollectionWrites, useShelf } from '../../data/groups';
import { unseenWords } from '../../shared/ui/unseen';
import { WhatBreaks } from '../../shared/what-breaks';
import { RuleGoods } from './rule-goods';
import { useGroupEditor, type CollectionEditor } from './use-group-editor';

function Head({ shelf, editor }: { shelf: Shelf; editor: CollectionEditor }) {
  const { copy, fill, remove } = useCollectionWrites();
  const navigate = useNavigate();
  const [ask, dialog] = useConfirm();
  const isRule = shelf.source === 'rule';
  useTitle(editor.value('name'));
  return (
    <header className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line px-4 py-2">
      <Link
        to={asItWas('/groups')}
        aria-label="Back to all shelves"
        className="rounded-md p-1 text-ink-2 hover:text-ink"
      >
        <ChevronLeft size={16} aria-hidden="true" />
      </Link>
      <h1 className="max-w-[40%] truncate font-display text-xl font-bold" title={editor.value('name')}>
        {editor.value('name')}
      </h1>
      <StatusTag shownStatus={shelf.shownStatus} />
      <Ways ways={shelf.ways} />
      <SaveStateWords save={editor.save} />
      <span className="ml-auto flex items-center">
        <Button
          look="bare"
          title={isRule ? 'Keeps who is in now as a list in your own order' : 'The rule it had decides again who is in'}
          onClick={() => fill.mutate({ id: shelf.id, source: isRule ? 'picked' : 'rule' })}
        >
          {isRule ? 'Freeze into a list' : 'Fill by rule'}
        </Button>
        <Button
          look="bare"
          disabled={copy.isPending}
          onClick={() => copy.mutate(shelf.id, { onSuccess: ({ id }) => void navigate(`/groups/${id}`) })}
        >
          Copy
        </Button>
        <Button
          look="bare"
          className="!text-rose"
          onClick={() =>
            ask({
              title: `Delete “${shelf.name}”?`,
              detail: (
                <>
                  Its goods stay, and undo brings it back.
                  <WhatBreaks kind="collection" id={shelf.id} />
                </>
              ),
              doIt: 'Delete the collection',
              run: () => remove.mutate(shelf.id, { onSuccess: () => void navigate('/groups') }),
            })
          }
        >
          Delete
        </Button>
      </span>
      {dialog}
    </header>
  );
}

function PickedGoods({ shelf, editor, currency }: { shelf: Shelf; editor: CollectionEditor; currency: string }) {
  const picked = editor.value('picked');
  const goods = picked.flatMap((id) => shelf.goods.find((row) => row.id === id) ?? []);
  const add = (ids: string[]) => editor.change({ picked: [...picked, ...ids.filter((id) => !picked.includes(id))] });
  const { isOver, props } = useGoodsDrop(add);
  return (
    <>
      <section
        className={`sheet pt-3 ${isOver ? 'ring-2 ring-petrol' : ''}`}
        aria-label="Goods on this shelf"
        {...props}
      >
        <h2 className="px-3.5 pb-1 font-display text-[15px] font-bold">
          {count(picked.length)} {picked.length === 1 ? 'good' : 'goods'}
          <span className="ml-2 font-sans text-xs font-normal text-ink-2">
            drag along the shelf, or focus one and use Space and the arrow keys
          </span>
        </h2>
        {goods.length > 0 ? (
          <Board
            goods={goods}
            currency={currency}
            wraps
            // Of a long list only the first goods are shown: the others stay behind them.
            reorder={(ids) => editor.change({ picked: [...ids, ...picked.filter((id) => !ids.includes(id))] })}
            remove={(id) => editor.change({ picked: picked.filter((each) => each !== id) })}
          />
        ) : (
          <p className="px-3.5 pb-4 text-ink-2">Nothing on this shelf yet. Drop goods here, or find them below.</p>
        )}
      </section>
      <AddGoods picked={picked} add={add} />
    </>
  );
}

function Editor({ shelf }: { shelf: Shelf }) {
  const { change } = useCollectionWrites();
  const { data: settings } = useSettings();
  const currency = settings?.currency ?? 'EUR';
  const editor: CollectionEditor = useGroupEditor(
    shelf,
    (values, was) => change.mutateAsync({ id: shelf.id, ...values, was }),
    `/g/${shelf.slug}`,
  );
  const [rule, order, pins, leftOut] = [
    editor.value('rule'),
    editor.value('order'),
    editor.value('pins'),
    editor.value('leftOut'),
  ];
  const tryWith = { order, pins, leftOut, collectionId: shelf.id };
  const { data: tried } = useTriedRule({ ...tryWith, rule: useDeferredValue(rule) });
  useShopWindow(
    `/g/${shelf.slug}`,
    shelf.ways.length > 0 ? `Found by: ${shelf.ways.join(', ')}` : NO_WAY,
    unseenWords('collection', shelf.shownStatus),
  );
  const isRule = shelf.source === 'rule';
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <Head shelf={shelf} editor={editor} />
      <div className="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto">
        <div className="w-[392px] max-xl:w-[336px] shrink-0 overflow-y-auto border-r border-line bg-edge/50 p-3.5 max-md:w-auto max-md:overflow-visible">
          {isRule && (
            <>
              <RuleField
                rule={rule}
                change={(next) => editor.change({ rule: next })}
                error={editor.error('rule')}
                tryWith={tryWith}
              />
              <div className="mt-3 border-t border-line pt-3">
                <OrderField order={order} change={(next) => editor.change({ order: next })} />
              </div>
            </>
          )}
          <details open={!isRule} className={isRule ? 'mt-3 border-t border-line pt-3' : ''}>
            <summary className="font-semibold">Its page, days and warnings</summary>
            <div className="mt-3 flex flex-col gap-3">
              <GroupPageFields kind="collection" path="g" id={shelf.id} editor={editor}>
                <CollectionTerms editor={editor} />
              </GroupPageFields>
            </div>
          </details>
        </div>
        <div className="flex min-w-0 flex-1 flex-col gap-3 overflow-y-auto p-3.5 pb-8 max-md:overflow-visible">
          <Clashes save={editor.save} />
          {shelf.warning && <p className="font-semibold text-rose">{shelf.warning}</p>}
          {isRule ? (
            <RuleGoods tried={tried} editor={editor} currency={currency} />
          ) : (
            <PickedGoods shelf={shelf} editor={editor} currency={currency} />
          )}
        </div>
      </div>
    </div>
  );
}

const NO_WAY = 'No way in yet: put it in the menu or on a page (Shopfront).';

/** One collection: what fills it on the left, who is in it beside, the shop at the right. */
export function CollectionPage() {
  const id = useParams().id!;
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
  return <Editor key={`${id} ${data.source}`} shelf={data} />;
}
