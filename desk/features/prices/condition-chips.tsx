import type { Offer } from '../../../core/model/offer';
import { floorWords, offerConditions, offerTimes } from '../../../core/pricing/offer-words';
import { plainAmount } from '../../../core/shared/money';
import { momentWords } from '../../../core/shared/moment';
import { Countries } from '../../shared/ui/countries';
import { MeasureField } from '../../shared/ui/measure-field';
import { MomentField } from '../../shared/ui/moment-field';
import { readAmount, readPercent, readWholeOrNone } from '../../shared/ui/readings';
import { Tick } from '../../shared/ui/tick';
import { Chip } from '../../shared/ui/chip';

interface Props {
  offer: Offer;
  set: (fields: Partial<Offer>) => void;
  errorOf: (...keys: (keyof Offer)[]) => string | undefined;
  timeZone: string;
  currency: string;
  /** floor of the shop, basis points; null for none */
  shopFloor: number | null;
}

const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const longDays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const orNone =
  <T,>(read: (typed: string) => { value: T } | { problem: string }) =>
  (typed: string): { value: T | null } | { problem: string } =>
    typed.trim() === '' ? { value: null } : read(typed);

const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
function readClock(typed: string): { value: number } | { problem: string } {
  const match = /^([01]?\d|2[0-4])[:.]([0-5]\d)$/.exec(typed.trim());
  const minutes = match ? Number(match[1]) * 60 + Number(match[2]) : NaN;
  return minutes <= 1_440 ? { value: minutes } : { problem: 'Type a time, like 17:30.' };
}

/** When an offer holds: its days, its weekdays and its hours. */
export function TimesChip({ offer, set, errorOf, timeZone }: Props) {
  const { from, until, weekdays, hours } = offer;
  const words = [
    from && `from ${momentWords(from, timeZone)}`,
    until && `until ${momentWords(until, timeZone)}`,
    offerTimes(offer),
  ]
    .filter(Boolean)
    .join(' ');
  return (
    <Chip
      label="When it holds"
      words={words || 'all the time'}
      error={errorOf('from', 'until', 'weekdays', 'hours')}
      width="w-[26rem]"
    >
      <div className="flex flex-wrap gap-3">
        <MomentField label="From" value={from} timeZone={timeZone} change={(moment) => set({ from: moment })} />
        <MomentField label="Until" value={until} timeZone={timeZone} change={(moment) => set({ until: moment })} />
      </div>
      <fieldset>
        <legend className="mb-1 font-semibold">Only on</legend>
        <div className="flex flex-wrap gap-1">
          {days.map((day, i) => {
            const isOn = weekdays.includes(i + 1);
            return (
              <button
                key={day}
                type="button"
                aria-label={longDays[i]}
                aria-pressed={isOn}
                onClick={() =>
                  set({
                    weekdays: isOn
                      ? weekdays.filter((each) => each !== i + 1)
                      : [...weekdays, i + 1].sort((a, b) => a - b),
                  })
                }
                className="rounded-lg bg-sunk px-2.5 py-1.5 hover:bg-line aria-pressed:bg-ink aria-pressed:text-sheet"
              >
                {day}
              </button>
            );
          })}
        </div>
        <p className="mt-1 text-xs text-ink-2">No day chosen means every day.</p>
      </fieldset>
      <Tick
        label="Only between two times of the day"
        checked={hours !== null}
        change={(is) => set({ hours: is ? { from: 17 * 60, until: 20 * 60 } : null })}
      />
      {hours && (
        <div className="flex gap-3">
          <MeasureField
            label="From"
            shown={clock(hours.from)}
            read={readClock}
            change={(next) => set({ hours: { ...hours, from: next as number } })}
          />
          <MeasureField
            label="Until"
            shown={clock(hours.until)}
            read={readClock}
            change={(next) => set({ hours: { ...hours, until: next as number } })}
          />
        </div>
      )}
    </Chip>
  );
}

/** What has to hold of the basket and of the shopper. */
export function ConditionsChip({ offer, set, errorOf, currency }: Props) {
  const conditions = offerConditions(offer, { currency, locale: 'en' });
  return (
    <Chip
      label="Conditions on the basket"
      words={conditions.length > 0 ? conditions.join(', ') : 'Add a condition'}
      isEmpty={conditions.length === 0}
      error={errorOf('subtotal', 'pieces', 'countries', 'uses', 'usesPerShopper')}
    >
      <Tick label="Shoppers need a code" checked={offer.needsCode} change={(needsCode) => set({ needsCode })} />
      <Tick
        label="Only on a shopper’s first order"
        checked={offer.firstOrder}
        change={(firstOrder) => set({ firstOrder })}
      />
      <MeasureField
        label="From this sum in the basket"
        placeholder="any sum"
        shown={offer.subtotal === null ? '' : plainAmount(offer.subtotal)}
        read={orNone(readAmount)}
        change={(subtotal) => set({ subtotal: subtotal as number | null })}
      />
      <MeasureField
        label="From so many of these goods"
        placeholder="any number"
        shown={offer.pieces === null ? '' : String(offer.pieces)}
        read={readWholeOrNone}
        change={(pieces) => set({ pieces: pieces as number | null })}
      />
      <div className="grid grid-cols-2 gap-3">
        <MeasureField
          label="Uses in all"
          placeholder="no limit"
          shown={offer.uses === null ? '' : String(offer.uses)}
          read={readWholeOrNone}
          change={(uses) => set({ uses: uses as number | null })}
        />
        <MeasureField
          label="For each shopper"
          placeholder="no limit"
          shown={offer.usesPerShopper === null ? '' : String(offer.usesPerShopper)}
          read={readWholeOrNone}
          change={(uses) => set({ usesPerShopper: uses as number | null })}
        />
      </div>
      <Countries label="Only for these countries" codes={offer.countries} change={(countries) => set({ countries })} />
    </Chip>
  );
}

/** How far down an offer may take a price. */
export function FloorChip({ offer, set, errorOf, shopFloor }: Props) {
  return (
    <Chip label="Floor" words={floorWords(offer, shopFloor)} error={errorOf('floor')}>
      <MeasureField
        label="Never below cost plus"
        hint={`Empty: as in the whole shop, ${floorWords({ floor: null }, shopFloor)}.`}
        placeholder={shopFloor === null ? 'no floor' : `${shopFloor / 100} %`}
        shown={offer.floor === null ? '' : `${offer.floor / 100} %`}
        read={orNone(readPercent)}
        change={(floor) => set({ floor: floor as number | null })}
      />
    </Chip>
  );
}

/** How an offer gets on with others. */
export function StacksChip({ offer, set, errorOf }: Props) {
  return (
    <Chip
      label="Together with other offers"
      words={offer.stacks ? 'together with other offers' : 'not with other offers'}
      error={errorOf('priority')}
    >
      <Tick
        label="It comes off prices that are reduced already"
        checked={offer.stacks}
        change={(stacks) => set({ stacks })}
      />
      <p className="text-xs text-ink-2">
        {offer.stacks
          ? 'It is taken off the sale price, and off what other such offers have left.'
          : 'It is worked out from the list price, and shoppers get whichever is better for them: this, the sale price, or other offers.'}
      </p>
      <MeasureField
        label="Looked at first, from 0 to 99"
        hint="The higher number comes first."
        shown={String(offer.priority)}
        read={(typed) =>
          /^\d{1,2}$/.test(typed.trim()) ? { value: Number(typed) } : { problem: 'Type a number from 0 to 99.' }
        }
        change={(priority) => set({ priority: priority as number })}
      />
    </Chip>
  );
}
