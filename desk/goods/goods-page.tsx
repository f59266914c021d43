import { Search } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { useOutletContext, useSearchParams } from 'react-router';
import { useShopWindow } from '../frame/window-state';
import { useSettings } from '../shopfront/queries';
import { Button } from '../ui/button';
import { Empty, Failed, Loading } from '../ui/states';
import { FacetColumn } from './facet-column';
import { GoodsList } from './goods-list';
import { useGoods, useProduct, type GoodsFilter } from './queries';

const keys = ['q', 'standing', 'category', 'brand', 'tag', 'sort'] as const;

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
  useShopWindow(data ? `/p/${data.product.slug}` : undefined, note ?? null);
  return null;
}

export function GoodsPage() {
  const [params, setParams] = useSearchParams();
  const { newProduct } = useOutletContext<{ newProduct: () => void }>();
  const { data: settings } = useSettings();
  const [activeId, setActiveId] = useState<string>();
  const followed = useDeferredValue(activeId);
  const filter = useMemo(
    () => Object.fromEntries(keys.map((key) => [key, params.get(key) ?? ''])) as unknown as GoodsFilter,
    [params],
  );
  const { data, error, refetch } = useGoods(filter);
  const set = (key: keyof GoodsFilter, value: string, replace = false) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(key, value);
        else next.delete(key);
        return next;
      },
      { replace },
    );
  const toggle = (key: keyof GoodsFilter, value: string) => {
    const chosen = new Set(filter[key].split(',').filter(Boolean));
    if (!chosen.delete(value)) chosen.add(value);
    set(key, [...chosen].join(','));
  };
  const chips = (data?.facets ?? []).flatMap((facet) =>
    facet.values.filter((value) => value.selected).map((value) => ({ ...value, key: facet.key, facet: facet.label })),
  );
  const isNarrowed = chips.length > 0 || filter.q !== '';
  const clear = () => setParams({});

  return (
    <div className="flex min-h-0 flex-1">
      {followed && <FollowedProduct id={followed} />}
      <FacetColumn facets={data?.facets ?? []} toggle={toggle} />
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex min-h-[52px] flex-wrap items-center gap-2 px-3 py-2">
          <h1 className="font-display text-2xl font-bold">Goods</h1>
          <label className="relative">
            <Search size={14} className="absolute left-2.5 top-1/2 -translate-y-1/2 text-ink-2" aria-hidden="true" />
            <span className="sr-only">Search the goods</span>
            <input
              type="search"
              value={filter.q}
              onChange={(event) => set('q', event.target.value, true)}
              placeholder="Title, SKU, tag …"
              className="field w-44 !pl-8"
            />
          </label>
          {chips.map((chip) => (
            <button
              key={`${chip.key} ${chip.value}`}
              type="button"
              onClick={() => toggle(chip.key, chip.value)}
              className="rounded-lg border border-line bg-sheet px-2.5 py-1 hover:border-ink-3"
            >
              <span className="font-semibold">{chip.facet}</span> <span className="text-ink-2">is</span> {chip.label} ×
            </button>
          ))}
          <span className="ml-auto whitespace-nowrap text-ink-2" aria-live="polite">
            {data ? (isNarrowed ? `${data.total} of ${data.all}` : `${data.all} products`) : ''}
          </span>
          <Button look="main" onClick={newProduct}>
            New product
          </Button>
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
          <Empty title="Nothing matches" action={<Button onClick={clear}>Show all goods</Button>}>
            No product meets all of this. Take one condition away, or search with fewer letters.
          </Empty>
        ) : (
          <GoodsList
            filter={filter}
            total={data.total}
            currency={settings?.currency ?? 'EUR'}
            sortBy={(sort) => set('sort', sort)}
            onActive={setActiveId}
          />
        )}
      </div>
    </div>
  );
}
