import { FileInput, Table2 } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Link, useOutletContext } from 'react-router';
import { isAsked } from '../../../core/rules/narrow';
import { useShopWindow } from '../../shared/window-state';
import { useSettings } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { count, products } from '../../shared/ui/count';
import { Drawer } from '../../shared/ui/drawer';
import { useIsPhone } from '../../shared/ui/use-media';
import { unseenWords } from '../../shared/ui/unseen';
import { useTitle } from '../../shared/ui/use-title';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { sheetAddress } from '../../shared/goods-address';
import { Chips } from './list/chips';
import { ColumnChooser } from './list/column-chooser';
import { useListColumns } from './list/columns';
import { FindField } from './list/find-field';
import { GoodsList } from './list/goods-list';
import { KeepAs } from './list/keep-as';
import { NarrowColumn } from './list/narrow-column';
import { PickAll } from './list/pick-all';
import { useNarrowing } from './list/use-narrowing';
import { useRemembered } from '../../shared/ui/use-remembered';
import { Views } from './list/views';
import { useGoods, useGoodsFields, useProduct } from '../../data/goods';

/** The shop window follows the row under the cursor. */
function FollowedProduct({ id }: { id: string }) {
  const { data } = useProduct(id);
  const places = data?.places ?? [];
  const words = places.slice(0, 3).map((place) => `${place.label}, ${place.position} of ${place.of}`);
  const note =
    data &&
    (places.length === 0
      ? 'Shows nowhere yet'
      : `Shows in ${places.length} places · ${words.join(' · ')}${places.length > 3 ? ' …' : ''}`);
  useShopWindow(
    data ? `/p/${data.product.slug}` : undefined,
    note ?? null,
    data ? unseenWords('product', data.shownStatus) : null,
  );
  return null;
}

/** So long the cursor rests on a row before the shop window follows it. */
const FOLLOW_MS = 180;

/** A value once it has stayed the same for a while. */
function useRested<T>(value: T, ms: number): T | undefined {
  const [rested, setRested] = useState<T>();
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}

const OPEN_FIRST = ['status', 'category', 'loose', 'brand'];

export function GoodsPage() {
  const { newProduct, orderFeatured } = useOutletContext<{ newProduct: () => void; orderFeatured: () => void }>();
  const { data: settings } = useSettings();
  const currency = settings?.currency ?? 'EUR';
  const { fields, names } = useGoodsFields();
  const narrowing = useNarrowing(names);
  const { rule, asked: which, sort, sortBy, isNarrowed, isRead, setRule } = narrowing;
  const columns = useListColumns(fields);
  const [openKeys, setOpenKeys] = useRemembered<string[]>('dispona.goods.open', OPEN_FIRST);
  const [isCards, setCards] = useRemembered<boolean>('dispona.goods.cards', false);
  const [activeId, setActiveId] = useState<string>();
  const isPhone = useIsPhone();
  const [isNarrowing, setNarrowing] = useState(false);
  useTitle('Goods');
  const followed = useRested(activeId, FOLLOW_MS);
  const open = useMemo(() => new Set(openKeys), [openKeys]);
  const asked = useMemo(() => ({ ...which, sort, columns: columns.map(({ key }) => key) }), [which, sort, columns]);
  const { data, error, refetch } = useGoods({ ...asked, columns: [] }, openKeys);
  const problems = useMemo(
    () => new Map((data?.problems ?? []).map(({ path, message }) => [path.join('.'), message])),
    [data],
  );
  const toggleOpen = (key: string) =>
    setOpenKeys(open.has(key) ? openKeys.filter((each) => each !== key) : [...openKeys, key]);

  const narrowColumn = (
    <NarrowColumn
      sections={data?.sections ?? []}
      looseEnds={data?.looseEnds ?? []}
      rule={rule}
      change={setRule}
      open={open}
      toggleOpen={toggleOpen}
    />
  );

  return (
    <div className="flex min-h-0 flex-1">
      {followed && <FollowedProduct id={followed} />}
      {!isPhone && narrowColumn}
      {isPhone && isNarrowing && (
        <Drawer title="Narrow the goods" close={() => setNarrowing(false)}>
          {narrowColumn}
          <Button look="main" className="m-3 justify-center" onClick={() => setNarrowing(false)}>
            Show {data ? products(data.total) : 'them'}
          </Button>
        </Drawer>
      )}
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex min-h-[52px] flex-wrap items-center gap-2 px-3 py-2">
          <h1 className="font-display text-2xl font-bold">Goods</h1>
          {isPhone && (
            <Button onClick={() => setNarrowing(true)} className="ml-auto">
              Filters{rule.of.length > 0 && ` · ${rule.of.length}`}
            </Button>
          )}
          <FindField narrowing={narrowing} fields={names} />
          <Chips {...{ rule, fields, names, currency, problems }} change={setRule} />
          <span className="ml-auto flex flex-wrap items-center justify-end gap-2">
            <span className="whitespace-nowrap text-ink-2" aria-live="polite">
              {data ? (isNarrowed ? `${count(data.total)} of ${count(data.all)}` : products(data.all)) : ''}
            </span>
            {isAsked(rule, 'featured') && (
              <Button look="bare" onClick={orderFeatured}>
                Put in order…
              </Button>
            )}
            {data && isNarrowed && isRead && <PickAll asked={which} total={data.total} sentence={data.sentence} />}
            {data && isNarrowed && isRead && <KeepAs narrowing={narrowing} total={data.total} />}
            {isRead && (
              <Link
                to={sheetAddress(which)}
                title="Edit as a sheet"
                className="rounded-md p-1.5 text-ink-2 hover:bg-sunk hover:text-ink"
              >
                <Table2 size={16} aria-hidden="true" />
                <span className="sr-only">Edit as a sheet</span>
              </Link>
            )}
            <Link
              to="/exchange"
              title="Bring goods in from a file"
              className="rounded-md p-1.5 text-ink-2 hover:bg-sunk hover:text-ink"
            >
              <FileInput size={16} aria-hidden="true" />
              <span className="sr-only">Bring goods in from a file</span>
            </Link>
            <Views narrowing={narrowing} />
            <ColumnChooser columns={columns} fields={fields} isCards={isCards} setCards={setCards} />
            <Button look="main" onClick={newProduct}>
              New product
            </Button>
          </span>
        </div>
        {error && !data ? (
          <Failed error={error} retry={() => void refetch()} />
        ) : !data ? (
          <Loading />
        ) : data.all === 0 ? (
          <Empty
            title="No goods yet"
            action={
              <Button look="main" onClick={newProduct}>
                Add the first product
              </Button>
            }
          >
            A title is enough to begin with. Pictures, options and prices come on its own page.
          </Empty>
        ) : data.total === 0 ? (
          <Empty title="Nothing matches" action={<Button onClick={narrowing.clear}>Show all goods</Button>}>
            No product meets all of this. Take one condition away, or search with fewer letters.
          </Empty>
        ) : (
          <GoodsList
            asked={asked}
            total={data.total}
            currency={currency}
            fields={fields}
            columns={columns}
            isCards={isCards}
            sort={sort}
            sortBy={sortBy}
            onActive={setActiveId}
          />
        )}
      </div>
    </div>
  );
}
