import {
  badgeColours,
  badgeKinds,
  cardPartKeys,
  cardParts,
  frames,
  type BadgeKind,
} from '../../../../core/model/card-choices';
import { badgeSchema, cardsSchema, freshBadge, type Badge, type Cards } from '../../../../core/model/cards';
import { colourRoles } from '../../../../core/model/look-choices';
import { EMPTY_RULE } from '../../../../core/model/rule';
import type { Settings } from '../../../../core/model/settings';
import { cardLook } from '../../../../core/storefront/frame-view';
import type { Typed } from '../../../../contract/shop-window';
import { useDrawnDrafts } from '../../../shared/autosave/use-drawn-drafts';
import type { Values } from '../../../shared/autosave/step';
import { useField } from '../../../shared/autosave/use-autosave';
import { newId } from '../../../shared/new-id';
import { RuleField } from '../../../shared/rules/rule-field';
import { SchemaField } from '../../../shared/ui/schema-field';
import { OneOf } from '../../../shared/ui/one-of';
import { Select } from '../../../shared/ui/select';
import { TickedOrder } from '../../../shared/ui/ticked-order';
import { Tick } from '../../../shared/ui/tick';
import { useShopWindow } from '../../../shared/window-state';
import { Entries } from '../fields/entries';
import { useSettingsSave } from '../../../shared/autosave/settings-save';
import { SheetPart, SaveSheet } from '../../../shared/ui/save-sheet';
import { problemsOf } from './problems-of';

const kinds = (Object.keys(badgeKinds) as BadgeKind[]).map((value) => ({ value, label: badgeKinds[value].name }));
const colours = badgeColours.map((value) => ({ value, label: colourRoles[value] }));

/** One badge: what it is for, its words and colour, and what it depends on. */
function BadgeFields({ badge, change }: { badge: Badge; change: (badge: Badge) => void }) {
  const { kind, words, colour, days, pieces, rule } = badge;
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-end gap-3">
        <Select
          label="For"
          value={kind}
          choices={kinds}
          choose={(next) =>
            next !== kind &&
            change({ ...freshBadge(badge.id, next as BadgeKind), rule: next === 'rule' ? EMPTY_RULE : null })
          }
          className="w-44 !py-[6px]"
        />
        <div className="w-44">
          <SchemaField
            label="Words"
            hideLabel
            schema={badgeSchema.shape.words}
            value={words}
            change={(next: string) => change({ ...badge, words: next })}
          />
        </div>
        <Select
          label="Colour"
          value={colour}
          choices={colours}
          choose={(next) => change({ ...badge, colour: next as Badge['colour'] })}
          className="w-44 !py-[6px]"
        />
      </div>
      {kind === 'reduced' && <p className="text-xs text-ink-2">{'{percent}'} is how much less it costs now.</p>}
      {kind === 'new' && (
        <SchemaField
          label="Counts as new for so many days"
          schema={badgeSchema.shape.days}
          value={days}
          className="!w-24"
          change={(next: number) => change({ ...badge, days: next })}
        />
      )}
      {kind === 'last' && (
        <div className="max-w-72">
          <SchemaField
            label="From this many pieces down"
            schema={badgeSchema.shape.pieces}
            value={pieces}
            className="!w-24"
            change={(next: number) => change({ ...badge, pieces: next })}
          />
          <p className="text-xs text-ink-2">{'{pieces}'} is how many are left.</p>
        </div>
      )}
      {kind === 'rule' && <RuleField rule={rule ?? EMPTY_RULE} change={(next) => change({ ...badge, rule: next })} />}
    </div>
  );
}

/** What the shop window draws of cards that are not saved yet; badges come with the saved ones. */
const drawnCards = ({ cards }: Values): Typed | null =>
  cards ? { of: 'shop', fields: { cards: cardLook(cards as Cards) } } : null;

/** What cards tell of goods, wherever in the shop they stand. */
export function CardsPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  useDrawnDrafts(save, drawnCards);
  const { value: cards, change, error } = useField<Cards>(save, 'cards');
  useShopWindow('/search');
  const set = (over: Partial<Cards>) => change({ ...cards, ...over });
  const problems = problemsOf(cardsSchema, cards);
  return (
    <SaveSheet save={save} error={Object.keys(problems).length === 0 ? error : undefined}>
      <SheetPart
        title="Parts of a card"
        about="From top to bottom. Colours stand beside the price where they follow it."
      >
        <TickedOrder
          all={cardPartKeys}
          chosen={cards.parts}
          nameOf={(part) => cardParts[part]}
          change={(parts) => set({ parts })}
        />
        {problems.parts && (
          <p role="alert" className="text-rose-ink">
            {problems.parts}
          </p>
        )}
        <OneOf
          label="When versions differ in price"
          choices={[
            { value: 'from', label: 'the lowest price, with “from”' },
            { value: 'range', label: 'the lowest and the highest' },
          ]}
          value={cards.price}
          choose={(price) => set({ price: price as Cards['price'] })}
        />
      </SheetPart>
      <SheetPart title="Pictures">
        <OneOf
          label="Shape of product pictures, everywhere in the shop"
          choices={Object.entries(frames).map(([value, { name }]) => ({ value, label: name }))}
          value={cards.frame}
          choose={(frame) => set({ frame: frame as Cards['frame'] })}
        />
        <OneOf
          label="Pictures that you add from now on"
          choices={[
            { value: 'fills', label: 'fill the frame' },
            { value: 'fits', label: 'show the whole picture' },
          ]}
          value={cards.fit}
          choose={(fit) => set({ fit: fit as Cards['fit'] })}
        />
        <Tick
          label="A second picture shows while somebody points at a card"
          checked={cards.second}
          change={(second) => set({ second })}
        />
      </SheetPart>
      <SheetPart title="Badges" about="A card shows those that hold, from the top of this list.">
        <Entries
          entries={cards.badges}
          change={(badges) => set({ badges })}
          one="badge"
          most={12}
          fresh={() => freshBadge(newId('bdg'), 'new')}
          draw={(badge, changeBadge) => <BadgeFields badge={badge} change={changeBadge} />}
        />
        <OneOf
          label="On one card at most"
          choices={['1', '2', '3'].map((value) => ({ value, label: value }))}
          value={String(cards.mostBadges)}
          choose={(most) => set({ mostBadges: Number(most) })}
        />
      </SheetPart>
    </SaveSheet>
  );
}
