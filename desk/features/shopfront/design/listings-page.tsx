import { useState, type ReactNode } from 'react';
import {
  layoutAt,
  layoutChoices,
  layoutWords,
  listingsSchema,
  shopperSorts,
  type LayoutField,
  type ListingLayout,
  type Listings,
  type OwnLayout,
  type ShopperSort,
} from '../../../../core/model/listing-layout';
import type { Settings } from '../../../../core/model/settings';
import { addressPath } from '../../../../core/shop/open-groups';
import { useFilters } from '../../../data/shopfront';
import { useField } from '../../../shared/autosave/use-autosave';
import { SchemaField } from '../../../shared/ui/schema-field';
import { OneOf } from '../../../shared/ui/one-of';
import { Select } from '../../../shared/ui/select';
import { Loading } from '../../../shared/ui/states';
import { TickedOrder } from '../../../shared/ui/ticked-order';
import { useShopWindow } from '../../../shared/window-state';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { useSettingsSave } from '../../../shared/autosave/settings-save';
import { keyOfTarget, useTargetNames } from '../../../shared/pickers/targets';
import { SheetPart, SaveSheet } from '../../../shared/ui/save-sheet';
import { FilterRows } from './filter-rows';
import { problemsOf } from './problems-of';

const allSorts = Object.keys(shopperSorts) as ShopperSort[];
const groupKinds = ['category', 'collection', 'brand', 'tag'] as const;
type At = OwnLayout['at'];
const isSame = (a: At, b: At | null) => b !== null && a.kind === b.kind && a.id === b.id;

/** How listings are laid out: all of them, and any group that differs. */
export function ListingsPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  const { value: listings, change, error } = useField<Listings>(save, 'listings');
  const [at, setAt] = useState<At | null>(null);
  const { nameOf, slugOf } = useTargetNames();
  const slug = at && slugOf(at);
  useShopWindow(at && slug ? `/${addressPath[at.kind]}/${slug}` : '/search');
  const { data: filters } = useFilters(at);
  const own = at ? listings.own.find((each) => isSame(each.at, at)) : undefined;
  const layout = layoutAt(listings, at ?? { kind: 'all' });
  const problems = problemsOf(listingsSchema, listings);
  const path = (field: LayoutField) => (at ? `own.${listings.own.indexOf(own!)}.${field}` : field);
  const set = (over: Partial<ListingLayout>) => {
    if (!at) return change({ ...listings, ...over });
    const next: OwnLayout = { ...(own ?? { at }), ...over };
    change({ ...listings, own: [...listings.own.filter((each) => !isSame(each.at, at)), next] });
  };
  const asElsewhere = (field: LayoutField) => {
    const { [field]: _, ...rest } = own!;
    const others = listings.own.filter((each) => !isSame(each.at, at));
    change({ ...listings, own: Object.keys(rest).length > 1 ? [...others, rest] : others });
  };
  /** A field with a way back to what holds for all listings. */
  const field = (name: LayoutField, children: ReactNode) => (
    <div>
      {children}
      {own?.[name] !== undefined && (
        <button type="button" onClick={() => asElsewhere(name)} className="mt-1 text-xs text-petrol hover:underline">
          Set for this group only. Use the general setting
        </button>
      )}
    </div>
  );
  const choice = <Name extends 'paging' | 'filtersAt' | 'children' | 'text' | 'phoneColumns'>(name: Name) =>
    field(
      name,
      <OneOf
        label={layoutWords[name]}
        choices={Object.entries(layoutChoices[name]).map(([value, label]) => ({ value, label }))}
        value={String(layout[name])}
        choose={(value) => set({ [name]: name === 'phoneColumns' ? Number(value) : value })}
      />,
    );
  return (
    <SaveSheet save={save} error={Object.keys(problems).length === 0 ? error : undefined}>
      <div className="flex flex-wrap items-end gap-4">
        <Select
          label="Layout of"
          value={at ? keyOfTarget(at) : ''}
          choices={[
            { value: '', label: 'All listings' },
            ...[...listings.own.map((each) => each.at), ...(at && !own ? [at] : [])].map((each) => ({
              value: keyOfTarget(each),
              label: nameOf(each),
            })),
          ]}
          choose={(key) => {
            const [kind, id] = key.split(':') as [At['kind'], string];
            setAt(key === '' ? null : { kind, id });
          }}
          className="w-64 !py-[7px] font-semibold"
        />
        <div className="w-64">
          <ChooseTarget
            label="Different for one group"
            kinds={groupKinds}
            choose={({ kind, id }) => {
              const wanted = groupKinds.find((each) => each === kind);
              if (wanted) setAt({ kind: wanted, id });
            }}
          />
        </div>
      </div>
      {at && (
        <p className="text-ink-2">
          What you change here holds for {nameOf(at)} alone. All else stays as in the other listings.
        </p>
      )}
      <SheetPart
        title="Filters"
        about="In the order in which shoppers get them. The bar tells how many times fewer products one choice leaves."
      >
        {filters ? (
          field(
            'filters',
            <FilterRows filters={layout.filters} worths={filters.filters} change={(next) => set({ filters: next })} />,
          )
        ) : (
          <Loading rows={4} />
        )}
        {choice('filtersAt')}
      </SheetPart>
      <SheetPart title="Sort orders" about="Shoppers can choose among these. Listings begin with the first.">
        {field(
          'sorts',
          <TickedOrder
            all={allSorts}
            chosen={layout.sorts}
            nameOf={(sort) => (sort === 'featured' ? 'Featured, or the own order of the group' : shopperSorts[sort])}
            change={(sorts) => set({ sorts })}
          />,
        )}
        {problems[path('sorts')] && (
          <p role="alert" className="text-rose-ink">
            {problems[path('sorts')]}
          </p>
        )}
      </SheetPart>
      <SheetPart title="Goods on the page">
        {field(
          'perPage',
          <SchemaField
            key={at ? keyOfTarget(at) : ''}
            label={layoutWords.perPage}
            schema={listingsSchema.shape.perPage}
            value={layout.perPage}
            className="!w-24"
            change={(perPage: number) => set({ perPage })}
          />,
        )}
        {field(
          'columns',
          <OneOf
            label={layoutWords.columns}
            choices={[2, 3, 4, 5, 6].map((count) => ({ value: String(count), label: String(count) }))}
            value={String(layout.columns)}
            choose={(columns) => set({ columns: Number(columns) })}
          />,
        )}
        {choice('phoneColumns')}
        {choice('paging')}
      </SheetPart>
      <SheetPart title="Around the goods">
        {choice('children')}
        {choice('text')}
      </SheetPart>
    </SaveSheet>
  );
}
