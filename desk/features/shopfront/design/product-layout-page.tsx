import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import {
  galleryWords,
  productPageSchema,
  staysWords,
  wholeParts,
  type OwnProductLayout,
  type ProductPage,
} from '../../../../core/model/product-layout';
import {
  foldable,
  isStrip,
  neededParts,
  productParts,
  type PartLayout,
  type ProductLayout,
} from '../../../../core/model/product-parts';
import { productKinds } from '../../../../core/model/product-values';
import type { Settings } from '../../../../core/model/settings';
import { kindParts } from '../../../../core/products/kinds';
import type { Typed } from '../../../../contract/shop-window';
import { useTellingGoods } from '../../../data/shopfront';
import { useField } from '../../../shared/autosave/use-autosave';
import { useDrawnDrafts } from '../../../shared/autosave/use-drawn-drafts';
import type { Values } from '../../../shared/autosave/step';
import { Button } from '../../../shared/ui/button';
import { TextArea, TextField } from '../../../shared/ui/field';
import { OneOf } from '../../../shared/ui/one-of';
import { Select } from '../../../shared/ui/select';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { Tick } from '../../../shared/ui/tick';
import { useShopWindow } from '../../../shared/window-state';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { useSettingsSave } from '../../../shared/autosave/settings-save';
import { useTargetNames } from '../../../shared/pickers/targets';
import { SheetPart, SaveSheet } from '../../../shared/ui/save-sheet';
import { problemsOf } from './problems-of';

type Of = OwnProductLayout['of'];
const keyOf = ({ kind, id }: Of) => `${kind}:${id}`;

/** What the shop window draws of a layout that is not saved yet. */
const drawnLayout = ({ productPage }: Values): Typed | null => {
  if (!productPage) return null;
  const { parts, gallery, stays, deliveryWords, returnWords, trust } = productPage as ProductPage;
  return {
    of: 'productPages',
    fields: {
      layout: { parts: wholeParts(parts), gallery, stays },
      promises: { delivery: deliveryWords, returns: returnWords },
      trust,
    },
  };
};

interface TellingProps {
  goods: readonly { why: string }[];
  shown: string | undefined;
  show: (why: string) => void;
}

/** The goods that put the layout to the test, one after the other in the shop window. */
const TellingGoods = ({ goods, shown, show }: TellingProps) =>
  goods.length === 0 ? (
    <p className="text-ink-2">There are no products on the shop yet to show the layout with.</p>
  ) : (
    <OneOf
      label="Try the layout on a product with"
      choices={goods.map(({ why }) => ({ value: why, label: why }))}
      value={shown ?? ''}
      choose={show}
    />
  );

function PartRows({ parts, change }: { parts: readonly PartLayout[]; change: (parts: PartLayout[]) => void }) {
  const all = wholeParts(parts);
  const set = (part: PartLayout['part'], over: Partial<PartLayout>) =>
    change(all.map((each) => (each.part === part ? { ...each, ...over } : each)));
  return (
    <SortableRows
      items={all}
      keyOf={({ part }) => part}
      reorder={change}
      className="sheet flex max-w-2xl flex-col px-2 py-1"
      draw={({ part, shown, place, folded }, grip) => {
        const { name } = productParts[part];
        return (
          <div className="flex flex-wrap items-center gap-x-3 border-b border-hair py-0.5 last:border-0">
            <span className="flex min-w-60 flex-1 items-center gap-1">
              {grip}
              {neededParts.has(part) ? (
                <span className="py-1 pl-6">{name}</span>
              ) : (
                <Tick label={name} checked={shown} change={(isShown) => set(part, { shown: isShown })} />
              )}
            </span>
            {foldable.has(part) && (
              <Tick
                label={
                  <>
                    folded<span className="sr-only">: {name}</span>
                  </>
                }
                checked={folded}
                change={(isFolded) => set(part, { folded: isFolded })}
              />
            )}
            {isStrip(part) ? (
              <span className="w-44 text-xs text-ink-2">across the page</span>
            ) : (
              <Select
                label={`${name} stands`}
                value={place}
                choices={[
                  { value: 'beside', label: 'beside the pictures' },
                  { value: 'below', label: 'below, across the page' },
                ]}
                choose={(next) => set(part, { place: next as PartLayout['place'] })}
                className="w-44"
              />
            )}
          </div>
        );
      }}
    />
  );
}

const MOST_FACTS = 6;

function NewFact({ add }: { add: (fact: string) => void }) {
  const [fact, setFact] = useState('');
  return (
    <form
      className="flex items-start gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (fact.trim() === '') return;
        add(fact.trim());
        setFact('');
      }}
    >
      <div className="w-72">
        <TextField
          label="A new short fact"
          hideLabel
          maxLength={80}
          placeholder="Such as: mended for as long as it flies"
          value={fact}
          onChange={({ target }) => setFact(target.value)}
        />
      </div>
      <Button type="submit" disabled={fact.trim() === ''}>
        <Plus size={13} aria-hidden="true" /> Add it
      </Button>
    </form>
  );
}

/** The layout of product pages: of all, and of kinds and categories that differ. */
export function ProductLayoutPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  useDrawnDrafts(save, drawnLayout);
  const { value: page, change, error } = useField<ProductPage>(save, 'productPage');
  const { data: telling } = useTellingGoods();
  const [shown, setShown] = useState<string | null>(null);
  const [of, setOf] = useState<Of | null>(null);
  const { nameOf } = useTargetNames();
  const goods = telling?.goods ?? [];
  const inWindow = goods.find(({ why }) => why === shown) ?? goods[0];
  useShopWindow(inWindow && `/p/${inWindow.slug}`);
  const own = of ? page.own.find((each) => keyOf(each.of) === keyOf(of)) : undefined;
  const layout: ProductLayout = own ?? page;
  const problems = problemsOf(productPageSchema, page);
  const set = (over: Partial<ProductLayout>) => {
    if (!of) return change({ ...page, ...over });
    const next: OwnProductLayout = { of, parts: layout.parts, gallery: layout.gallery, stays: layout.stays, ...over };
    const index = page.own.findIndex((each) => keyOf(each.of) === keyOf(of));
    change({ ...page, own: index < 0 ? [...page.own, next] : page.own.map((each, i) => (i === index ? next : each)) });
  };
  const nameOfLayout = (each: Of) =>
    each.kind === 'kind'
      ? `Every ${kindParts[each.id].name}`
      : `Products in ${nameOf({ kind: 'category', id: each.id })}`;
  const kinds: Of[] = productKinds.map((id) => ({ kind: 'kind', id }));
  const known = [...page.own.map((each) => each.of), ...(of && !own ? [of] : [])];
  return (
    <SaveSheet save={save} error={Object.keys(problems).length === 0 ? error : undefined}>
      {telling && <TellingGoods goods={goods} shown={inWindow?.why} show={setShown} />}
      <div className="flex flex-wrap items-end gap-4">
        <Select
          label="Layout of"
          value={of ? keyOf(of) : ''}
          choices={[
            { value: '', label: 'All product pages' },
            ...known.map((each) => ({ value: keyOf(each), label: nameOfLayout(each) })),
          ]}
          choose={(key) => setOf(known.find((each) => keyOf(each) === key) ?? null)}
          className="w-64 !py-[7px] font-semibold"
        />
        <Select
          label="Different for one kind"
          value=""
          choices={kinds
            .filter((each) => !known.some((other) => keyOf(other) === keyOf(each)))
            .map((each) => ({ value: each.id, label: kindParts[each.id as keyof typeof kindParts].name }))}
          choose={(id) => setOf(kinds.find((each) => each.id === id)!)}
          className="w-52 !py-[7px]"
        />
        <div className="w-56">
          <ChooseTarget
            label="Different for a category"
            kinds={['category']}
            choose={({ id }) => setOf({ kind: 'category', id })}
          />
        </div>
      </div>
      {of && (
        <p className="flex flex-wrap items-center gap-3 text-ink-2">
          {nameOfLayout(of)}: {own ? 'has a layout of its own.' : 'as all others, until you change something.'}
          {own && (
            <Button
              look="bare"
              onClick={() => {
                change({ ...page, own: page.own.filter((each) => each !== own) });
                setOf(null);
              }}
            >
              As all others again
            </Button>
          )}
        </p>
      )}
      <SheetPart title="Parts of the page" about="Drag them into the order you want.">
        <PartRows parts={layout.parts} change={(parts) => set({ parts })} />
        {problems.parts && (
          <p role="alert" className="text-rose-ink">
            {problems.parts}
          </p>
        )}
      </SheetPart>
      <SheetPart title="Pictures">
        <OneOf
          label="On a wide screen"
          choices={Object.entries(galleryWords).map(([value, label]) => ({ value, label }))}
          value={layout.gallery}
          choose={(gallery) => set({ gallery: gallery as ProductLayout['gallery'] })}
        />
        <OneOf
          label="While the rest is scrolled, what stays in sight"
          choices={Object.entries(staysWords).map(([value, label]) => ({ value, label }))}
          value={layout.stays}
          choose={(stays) => set({ stays: stays as ProductLayout['stays'] })}
        />
      </SheetPart>
      <SheetPart title="Words on every product" about="On goods that are sent. They also fill the legal pages.">
        <TextArea
          label="Delivery"
          rows={2}
          maxLength={600}
          placeholder="Such as: sent within two days, free from €60"
          value={page.deliveryWords}
          onChange={({ target }) => change({ ...page, deliveryWords: target.value })}
        />
        <TextArea
          label="Returns"
          rows={2}
          maxLength={600}
          placeholder="Such as: 30 days, and we pay for the way back"
          value={page.returnWords}
          onChange={({ target }) => change({ ...page, returnWords: target.value })}
        />
        <div>
          <span className="mb-1 block font-semibold">Short facts</span>
          <ul className="mb-2 flex max-w-md flex-col gap-1">
            {page.trust.map((fact, i) => (
              <li key={fact} className="flex items-center gap-1.5">
                <span className="min-w-0 break-words">{fact}</span>
                <button
                  type="button"
                  aria-label={`Remove “${fact}”`}
                  onClick={() => change({ ...page, trust: page.trust.filter((_, at) => at !== i) })}
                  className="rounded p-1 text-ink-2 hover:text-rose"
                >
                  <X size={14} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ul>
          {page.trust.length < MOST_FACTS && (
            <NewFact
              add={(fact) => change({ ...page, trust: [...page.trust.filter((each) => each !== fact), fact] })}
            />
          )}
        </div>
      </SheetPart>
    </SaveSheet>
  );
}
