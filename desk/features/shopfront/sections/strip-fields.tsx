import { useState } from 'react';
import { cardParts, usualCardLook, type CardPart } from '../../../../core/model/card-choices';
import { namedOrders, orderName } from '../../../../core/model/order';
import { EMPTY_RULE } from '../../../../core/model/rule';
import { MAX_STRIP, ownSourceOf, type StripSource } from '../../../../core/model/sections/strip';
import type { SectionOf } from '../../../../core/model/sections/sections';
import { useSettings } from '../../../data/shopfront';
import { RuleField } from '../../../shared/rules/rule-field';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import { Tick } from '../../../shared/ui/tick';
import { ChoiceRow } from '../fields/choice-row';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { GoodsList } from '../fields/goods-list';
import { NumberRow } from '../fields/number-row';
import { TargetName } from '../../../shared/pickers/target-words';
import { ComesAndGoes } from './comes-and-goes';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';
import { StripGoods } from './strip-goods';

const sorts = [
  { value: 'group', label: 'a group' },
  { value: 'rule', label: 'a rule' },
  { value: 'picked', label: 'picked by hand' },
  { value: 'featured', label: 'featured goods' },
  { value: 'newest', label: 'newest goods' },
  { value: 'bestSold', label: 'best sold' },
  { value: 'onSale', label: 'goods on sale' },
  { value: 'recentlySeen', label: 'what each shopper saw lately' },
  { value: 'goesWithBasket', label: 'what goes with the basket' },
] as const;
type Sort = (typeof sorts)[number]['value'];

const sortOf = (source: StripSource | null): Sort => (!source || 'id' in source ? 'group' : source.kind);

function sourceOf(sort: Sort): StripSource | null {
  switch (sort) {
    case 'group':
      return null;
    case 'rule':
      return { kind: 'rule', rule: EMPTY_RULE };
    case 'picked':
      return { kind: 'picked', ids: [] };
    case 'bestSold':
      return { kind: 'bestSold', days: 30 };
    default:
      return { kind: sort };
  }
}

const groupKinds = ['collection', 'category', 'brand', 'tag'] as const;

/** Where the goods come from. */
function SourceFields({ section, errors, change }: SectionFieldsProps<'strip'>) {
  const { source } = section;
  const set = (next: StripSource | null) => change({ ...section, source: next });
  return (
    <>
      <div className="flex items-center justify-between gap-2">
        <span className="text-ink-2">Goods from</span>
        <Select
          label="Goods from"
          value={sortOf(source)}
          choices={sorts}
          choose={(sort) => sort !== sortOf(source) && set(sourceOf(sort as Sort))}
          className="font-semibold"
        />
      </div>
      {sortOf(source) === 'group' &&
        (source && 'id' in source ? (
          <TargetName
            to={{ kind: source.kind, id: source.id }}
            title="Where the goods come from"
            remove={() => set(null)}
          />
        ) : (
          <ChooseTarget
            label="Choose a collection or category"
            kinds={groupKinds}
            choose={({ kind, id }) => {
              const wanted = groupKinds.find((each) => each === kind);
              if (wanted) set({ kind: wanted, id });
            }}
          />
        ))}
      {source?.kind === 'rule' && <RuleField rule={source.rule} change={(rule) => set({ kind: 'rule', rule })} />}
      {source?.kind === 'picked' && (
        <GoodsList label="In this order" ids={source.ids} change={(ids) => set({ kind: 'picked', ids })} />
      )}
      {source?.kind === 'bestSold' && (
        <ChoiceRow
          label="Within days"
          value={source.days}
          choices={([7, 30, 60, 90, 365] as const).map((days) => ({ value: days, label: days }))}
          choose={(days) => set({ kind: 'bestSold', days })}
        />
      )}
      {errors.source && (
        <p role="alert" className="text-rose-ink">
          {errors.source}
        </p>
      )}
    </>
  );
}

const orderWords: Record<string, string> = {
  own: 'the source’s own',
  featured: 'featured first',
  newest: 'newest first',
  'price-up': 'price, low to high',
  'price-down': 'price, high to low',
  title: 'title, A to Z',
  sold30: 'most sold in 30 days',
  margin: 'highest margin',
};
const moreOrders = Object.fromEntries(
  ['sold30', 'margin'].map((by) => [by, { keys: [{ by, down: true }], mix: 'none' as const, soldOutLast: false }]),
);
const orderKey = ({ order }: SectionOf<'strip'>) => (order ? (orderName(order) ?? order.keys[0]!.by) : 'own');

/** A card without these would say nothing. */
const alwaysShown: ReadonlySet<CardPart> = new Set<CardPart>(['picture', 'title']);

function LayoutFields({ section, change }: SectionFieldsProps<'strip'>) {
  return (
    <>
      <ChoiceRow
        label="Goods in a row"
        value={section.columns}
        choices={[2, 3, 4, 5, 6].map((value) => ({ value, label: value }))}
        choose={(columns) => change({ ...section, columns })}
      />
      <ChoiceRow
        label="on a phone"
        value={section.phoneColumns}
        choices={([1, 2] as const).map((value) => ({ value, label: value }))}
        choose={(phoneColumns) => change({ ...section, phoneColumns })}
      />
      <ChoiceRow
        label="Shape"
        value={section.shape}
        choices={[
          { value: 'grid', label: 'grid' },
          { value: 'row', label: 'row that scrolls' },
        ]}
        choose={(shape) => change({ ...section, shape })}
      />
      {section.shape === 'grid' && (
        <ChoiceRow
          label="A short last row"
          value={section.fewer}
          choices={[
            { value: 'leave', label: 'leave' },
            { value: 'centre', label: 'centre' },
            { value: 'stretch', label: 'stretch' },
          ]}
          choose={(fewer) => change({ ...section, fewer })}
        />
      )}
    </>
  );
}

export function StripFields(props: SectionFieldsProps<'strip'>) {
  const { data: settings } = useSettings();
  const shopParts = (settings?.cards.parts ?? usualCardLook.parts).filter((part) => !alwaysShown.has(part));
  const { section, note, errors, change } = props;
  const { source } = section;
  const [isMore, setMore] = useState(false);
  const isOwn = ownSourceOf(source) !== null;
  return (
    <>
      <SectionTitle
        section={section}
        errors={errors}
        change={change}
        placeholder={section.title === '' ? (note?.name ?? 'the name of what it shows') : undefined}
        hint={section.title === '' ? 'Follows what the strip shows, until you type a title of your own.' : undefined}
      />
      <SourceFields {...props} />
      {note && !isOwn && <ComesAndGoes key={section.id} goods={note.goods} />}
      <NumberRow
        label={note && !isOwn ? `Shows, of ${note.available}` : 'Shows'}
        value={section.count}
        min={1}
        max={MAX_STRIP}
        error={errors.count}
        change={(count) => change({ ...section, count })}
      />
      {!isOwn && (
        <div className="flex items-center justify-between gap-2">
          <span className="text-ink-2">Order</span>
          <Select
            label="Order"
            value={orderKey(section)}
            choices={Object.entries(orderWords).map(([value, label]) => ({ value, label }))}
            choose={(key) => change({ ...section, order: namedOrders[key] ?? moreOrders[key] ?? null })}
          />
        </div>
      )}
      <LayoutFields {...props} />
      {!isOwn && (
        <>
          <ChoiceRow
            label="From day to day"
            value={section.daily === null ? 'stays' : 'turns'}
            choices={[
              { value: 'stays', label: 'stays' },
              { value: 'turns', label: 'takes turns' },
            ]}
            choose={(how) => change({ ...section, daily: how === 'stays' ? null : Math.max(2, section.count * 3) })}
          />
          {section.daily !== null && (
            <NumberRow
              label="So many take turns"
              value={section.daily}
              min={2}
              max={200}
              error={errors.daily}
              change={(daily) => change({ ...section, daily })}
            />
          )}
          <div>
            <Tick
              label="Skip what stands above"
              checked={section.skipAbove}
              change={(skipAbove) => change({ ...section, skipAbove })}
            />
            <Tick
              label="Skip what is sold out"
              checked={section.skipSoldOut}
              change={(skipSoldOut) => change({ ...section, skipSoldOut })}
            />
            <Tick
              label="Skip what has no picture"
              checked={section.skipPictureless}
              change={(skipPictureless) => change({ ...section, skipPictureless })}
            />
          </div>
          {note && <StripGoods section={section} note={note} change={change} />}
        </>
      )}
      <details open={isMore} onToggle={(event) => setMore(event.currentTarget.open)}>
        <summary className="py-1 font-semibold">Words and cards</summary>
        <div className="mt-1 flex flex-col gap-2.5">
          <TextField
            label="A line below the title"
            value={section.subtitle}
            error={errors.subtitle}
            onChange={(event) => change({ ...section, subtitle: event.target.value })}
          />
          <TextField
            label="When there is nothing to show"
            placeholder="shoppers do not see the strip"
            value={section.emptyWords}
            error={errors.emptyWords}
            onChange={(event) => change({ ...section, emptyWords: event.target.value })}
          />
          <Tick label="A link to all of them" checked={section.more} change={(more) => change({ ...section, more })} />
          {section.more && (
            <TextField
              label="Words of the link"
              placeholder={`All ${note?.available ?? ''}`}
              value={section.moreWords}
              error={errors.moreWords}
              onChange={(event) => change({ ...section, moreWords: event.target.value })}
            />
          )}
          <fieldset>
            <legend className="text-ink-2">On its cards</legend>
            <div className="grid grid-cols-2">
              {shopParts.map((part) => (
                <Tick
                  key={part}
                  label={cardParts[part].toLowerCase()}
                  checked={!section.without.includes(part)}
                  change={(isShown) =>
                    change({
                      ...section,
                      without: isShown ? section.without.filter((each) => each !== part) : [...section.without, part],
                    })
                  }
                />
              ))}
            </div>
          </fieldset>
        </div>
      </details>
    </>
  );
}
