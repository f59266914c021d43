import { ChevronLeft } from 'lucide-react';
import { useCallback, useState } from 'react';
import { toast } from 'sonner';
import { Link, useNavigate, useParams } from 'react-router';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { momentWords } from '../../../../core/shared/moment';
import { kindParts } from '../../../../core/products/kinds';
import { call, CallError } from '../../../data/api';
import type { Typed } from '../../../../contract/shop-window';
import type { Autosave } from '../../../shared/autosave/autosave';
import { useDrawnDrafts } from '../../../shared/autosave/use-drawn-drafts';
import { useValue } from '../../../shared/autosave/use-autosave';
import type { Values } from '../../../shared/autosave/step';
import { tray, useTray } from '../../../shared/tray-store';
import { useTakeBack } from '../../../data/session';
import { FeaturedTag } from '../../../shared/ui/featured-tag';
import { asItWas } from '../../../shared/ui/where-one-was';
import { unseenWords } from '../../../shared/ui/unseen';
import { useTitle } from '../../../shared/ui/use-title';
import { useShopWindow } from '../../../shared/window-state';
import { Button } from '../../../shared/ui/button';
import { Clashes } from '../../../shared/ui/clashes';
import { SaveStateWords } from '../../../shared/ui/save-state';
import { Empty, Failed, Loading } from '../../../shared/ui/states';
import { StatusTag } from '../../../shared/ui/swing-tag';
import { useCopyProduct, useProduct, useSpecSheets } from '../../../data/goods';
import { Belongs } from './belongs';
import { BundlePart } from './bundle';
import { CopyParts } from '../../../shared/copy-parts';
import { Delivery } from './delivery';
import { Files } from './files';
import { GoesWith } from './goes-with';
import { History } from './history';
import { InSearch } from './in-search';
import { KindChoice, KindPart } from './kind';
import { Options } from './options';
import { Pictures } from './pictures';
import { specCount, Specs } from './specs';
import { partsOfCell, useProductAutosave, useProductField, useVariantAutosave } from './use-product-autosave';
import { VariantTable } from './variant-table';
import { Where } from './where';
import { When } from './when';
import { Words } from './words';
import { tellRefused } from '../../../data/tell-refused';

const relatedCount = ({ relations }: ProductAnswer['product']) =>
  Object.values(relations).reduce((sum, relation) => sum + (relation.how === 'picked' ? relation.ids.length : 0), 0);

/** "from 3 May 2027, 10:00" for a product that waits for its day. */
function shownStatusWords({ shownStatus, product, timeZone }: ProductAnswer): string | undefined {
  if (shownStatus === 'waiting') return `from ${momentWords(product.liveFrom!, timeZone)}`;
  return product.liveUntil && (shownStatus === 'ended' || shownStatus === 'live')
    ? `until ${momentWords(product.liveUntil, timeZone)}`
    : undefined;
}

const textOf = (value: unknown) => (typeof value === 'string' ? value : undefined);

/** What of the fields being typed shoppers see. */
const drawnFields = (id: string, { title, summary, description }: Values): Typed => ({
  of: 'product',
  id,
  fields: { title: textOf(title), summary: textOf(summary), description: textOf(description) },
  prices: {},
});

/** What of the cells being typed shoppers see. */
function drawnPrices(id: string, values: Values): Typed {
  const prices: Record<string, number> = {};
  for (const [key, value] of Object.entries(values)) {
    const [variantId, name] = partsOfCell(key);
    if (name === 'price' && typeof value === 'number') prices[variantId] = value;
  }
  return { of: 'product', id, fields: {}, prices };
}

function Title({ save }: { save: Autosave }) {
  const title = useValue<string>(save, 'title');
  useTitle(title);
  return (
    <h1 className="min-w-0 truncate font-display text-xl font-bold md:max-w-[42%]" title={title}>
      {title}
    </h1>
  );
}

function Feature({ save }: { save: Autosave }) {
  const { value: isFeatured, change } = useProductField(save, 'featured');
  return (
    <Button
      look="bare"
      aria-pressed={isFeatured}
      aria-label="Featured"
      title={
        isFeatured ? 'Featured goods come first in listings: click to end it' : 'Featured goods come first in listings'
      }
      onClick={() => change(!isFeatured)}
    >
      {isFeatured ? <FeaturedTag /> : 'Feature'}
    </Button>
  );
}

/** Puts the product on the shop or takes it off; shoppers see either with the next edition. */
function OnTheShop({ save }: { save: Autosave }) {
  const { value: status, change } = useProductField(save, 'status');
  const navigate = useNavigate();
  const set = (next: 'live' | 'off', words: string) => {
    change(next);
    toast(words, { action: { label: 'Review', onClick: () => void navigate('/review') } });
  };
  if (status === 'live')
    return (
      <Button onClick={() => set('off', 'Shoppers no longer see it from the next edition on.')}>
        Take off the shop
      </Button>
    );
  return (
    <Button
      look="main"
      title="Shoppers see it with the next edition"
      onClick={() => set('live', 'Shoppers see it with the next edition.')}
    >
      Put on the shop
    </Button>
  );
}

function Editor({ answer }: { answer: ProductAnswer }) {
  const { product, shownStatus, places } = answer;
  const fields = useProductAutosave(answer);
  const cells = useVariantAutosave(answer);
  const { id } = product;
  useDrawnDrafts(
    fields,
    useCallback((values: Values) => drawnFields(id, values), [id]),
  );
  useDrawnDrafts(
    cells,
    useCallback((values: Values) => drawnPrices(id, values), [id]),
  );
  const takeBack = useTakeBack();
  const navigate = useNavigate();
  const copy = useCopyProduct();
  const [isCopying, setCopying] = useState(false);
  const isPicked = useTray().includes(product.id);
  useShopWindow(
    `/p/${product.slug}`,
    places.length === 0
      ? 'Shows nowhere yet. Put it into a category that is in the menu, or on a page.'
      : `Shows in ${places.length} ${places.length === 1 ? 'place' : 'places'} · ${places
          .slice(0, 2)
          .map((place) => `${place.label}, ${place.position} of ${place.of}`)
          .join(' · ')}`,
    unseenWords('product', shownStatus),
  );
  const remove = () => {
    call(routes.goods.remove, { params: { id: product.id } })
      .then(() => {
        tray.drop([product.id]);
        takeBack.offer(`Deleted “${product.title}”`);
        return navigate(asItWas('/goods'));
      })
      .catch(tellRefused);
  };
  const kind = kindParts[product.kind];
  const specs = specCount(product, useSpecSheets().data?.sheets ?? []);
  const parts: { id: string; label: string; count?: number | string; isShort?: boolean }[] = [
    { id: 'pictures', label: 'Pictures', count: product.pictures.length },
    { id: 'words', label: 'Words' },
    ...(kind.slots ? [{ id: 'bundle', label: 'What is in it', count: product.bundle?.slots.length ?? 0 }] : []),
    ...(kind.options ? [{ id: 'options', label: 'Options', count: product.options.length || undefined }] : []),
    { id: 'prices', label: 'Price & stock', count: product.variants.length },
    {
      id: 'specs',
      label: 'Specs',
      count: specs.of ? `${specs.filled}/${specs.of}` : undefined,
      isShort: specs.filled < specs.of,
    },
    ...(kind.delivery ? [{ id: 'delivery', label: 'Delivery' }] : []),
    { id: 'files', label: kind.downloads ? 'Files' : 'Manuals', count: product.files.length || undefined },
    {
      id: 'belongs',
      label: 'Belongs to',
      count: product.categoryIds.length + product.tagIds.length + (product.brandId ? 1 : 0),
    },
    { id: 'goes-with', label: 'Goes with', count: relatedCount(product) || undefined },
    { id: 'search', label: 'In search' },
    { id: 'where', label: 'Where it shows', count: places.length },
    { id: 'when', label: 'When' },
    { id: 'history', label: 'History' },
  ];
  return (
    <div className="flex min-h-0 flex-1">
      <nav aria-label="Parts of the product" className="w-[148px] shrink-0 py-3 pl-2.5 pr-1 max-lg:hidden">
        {parts.map(({ id, label, count, isShort }) => (
          <a
            key={id}
            href={`#${id}`}
            className="flex justify-between rounded-lg px-2.5 py-1.5 text-ink-2 hover:bg-sunk hover:text-ink"
          >
            {label}
            {count !== undefined && (
              <span className={count === 0 || isShort ? 'font-semibold text-rose' : ''}>{count}</span>
            )}
          </a>
        ))}
      </nav>
      <div className="relative min-w-0 flex-1 overflow-y-auto">
        <div className="sticky top-0 z-20 flex flex-wrap items-center gap-2 bg-paper px-3 py-2">
          <Link
            to={asItWas('/goods')}
            aria-label="Back to the goods"
            className="rounded-md p-1 text-ink-2 hover:text-ink"
          >
            <ChevronLeft size={16} aria-hidden="true" />
          </Link>
          <Title save={fields} />
          <StatusTag shownStatus={shownStatus} words={shownStatusWords(answer)} />
          <SaveStateWords save={fields} beside={cells} />
          <div className="ml-auto flex flex-wrap items-center gap-2">
            <Feature save={fields} />
            <Button look="bare" aria-pressed={isPicked} onClick={() => tray.toggle(product.id)}>
              {isPicked ? 'Out of the tray' : 'Into the tray'}
            </Button>
            <Button
              disabled={copy.isPending}
              onClick={() =>
                copy.mutate(product.id, {
                  onSuccess: (made) => void navigate(`/goods/${made.product.id}`, { state: { isCopy: true } }),
                  onError: tellRefused,
                })
              }
            >
              Copy as new
            </Button>
            <OnTheShop save={fields} />
          </div>
        </div>
        <div className="flex flex-col gap-3 px-3 pb-6">
          <Clashes save={fields} />
          <Clashes save={cells} />
          <Pictures answer={answer} />
          <Words answer={answer} save={fields} />
          {kind.slots && <BundlePart answer={answer} save={fields} />}
          {kind.options && <Options answer={answer} />}
          <VariantTable answer={answer} save={cells} fields={fields} />
          <Specs answer={answer} save={fields} />
          {kind.delivery && <Delivery save={fields} />}
          <KindPart kind={product.kind} save={fields} />
          <Files answer={answer} save={fields} />
          <Belongs productId={product.id} save={fields} />
          <GoesWith answer={answer} save={fields} />
          <InSearch answer={answer} save={fields} />
          <Where answer={answer} />
          <When answer={answer} save={fields} />
          <History id={product.id} />
          <div className="flex items-center justify-between px-1">
            <span className="flex items-center gap-2 text-ink-2">
              Kind
              <KindChoice answer={answer} />
            </span>
            <Button look="bare" className="ml-auto" onClick={() => setCopying(true)}>
              Copy parts to the tray…
            </Button>
            <Button look="bare" onClick={remove} className="!text-rose">
              Delete this product
            </Button>
          </div>
          {isCopying && <CopyParts id={product.id} title={product.title} close={() => setCopying(false)} />}
        </div>
      </div>
    </div>
  );
}

export function ProductPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useProduct(id);
  if (error instanceof CallError && error.is('notFound'))
    return (
      <Empty
        title="This product is gone"
        action={
          <Link to="/goods" className="font-semibold text-petrol hover:underline">
            To the goods
          </Link>
        }
      >
        It was deleted, perhaps in another tab. Undo (Ctrl/Cmd + Z) brings it back.
      </Empty>
    );
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  return <Editor key={id} answer={data} />;
}
