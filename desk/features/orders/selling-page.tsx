import { Plus } from 'lucide-react';
import {
  deliveryOptionSchema,
  paymentKinds,
  paymentOptionSchema,
  sellingSchema,
  type DeliveryOption,
  type PaymentKind,
  type PaymentOption,
  type Selling,
} from '../../../core/model/selling';
import { countryCodes, countryName } from '../../../core/model/countries';
import type { Settings } from '../../../core/model/settings';
import { plainAmount } from '../../../core/shared/money';
import { weightWords } from '../../../core/shared/units';
import { useSettingsSave } from '../../shared/autosave/settings-save';
import { useField } from '../../shared/autosave/use-autosave';
import { newId } from '../../shared/new-id';
import { Button } from '../../shared/ui/button';
import { Countries } from '../../shared/ui/countries';
import { MeasureField } from '../../shared/ui/measure-field';
import { OneOf } from '../../shared/ui/one-of';
import { readAmount, readWeight, readWhole } from '../../shared/ui/readings';
import { SaveSheet, SheetPart } from '../../shared/ui/save-sheet';
import { SchemaField } from '../../shared/ui/schema-field';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';

const amountOrNone = (typed: string) => (typed.trim() === '' ? { value: null } : readAmount(typed));

/** Reads how far a step goes, in what the way of delivery is priced by. */
const reads = {
  weight: { read: readWeight, shown: weightWords, label: 'Up to', hint: 'empty for any weight' },
  price: { read: amountOrNone, shown: plainAmount, label: 'Up to this sum', hint: 'empty for any sum' },
  pieces: {
    read: (typed: string) => (typed.trim() === '' ? { value: null } : readWhole(typed)),
    shown: String,
    label: 'Up to pieces',
    hint: 'empty for any number',
  },
} as const;

interface DeliveryProps {
  option: DeliveryOption;
  change: (option: DeliveryOption) => void;
  remove: () => void;
}

function Delivery({ option, change, remove }: DeliveryProps) {
  const set = (over: Partial<DeliveryOption>) => change({ ...option, ...over });
  const by = reads[option.by];
  const edge = (key: 'length' | 'width' | 'height', label: string) => (
    <div className="w-24">
      <MeasureField
        label={`${label}, mm`}
        shown={String(option.largest![key])}
        read={readWhole}
        change={(value) => set({ largest: { ...option.largest!, [key]: value as number } })}
      />
    </div>
  );
  return (
    <details className="sheet p-3" open={option.name === ''}>
      <summary className="cursor-pointer font-semibold">
        {option.name || 'A new way of delivery'} {!option.isOn && <span className="font-normal text-ink-2">off</span>}
      </summary>
      <div className="mt-3 flex flex-col gap-3">
        <Tick label="Offered to shoppers" checked={option.isOn} change={(isOn) => set({ isOn })} />
        <div className="grid gap-3 sm:grid-cols-2">
          <SchemaField
            label="Name"
            schema={deliveryOptionSchema.shape.name}
            value={option.name}
            change={(name: string) => set({ name })}
          />
          <SchemaField
            label="Words for shoppers"
            schema={deliveryOptionSchema.shape.words}
            value={option.words}
            change={(words: string) => set({ words })}
          />
        </div>
        <Tick
          label="Shoppers come for it: no address is asked for"
          checked={option.isCollected}
          change={(isCollected) => set({ isCollected })}
        />
        <Countries
          label="Only to these countries"
          codes={option.countries}
          change={(countries) => set({ countries })}
        />
        <OneOf
          label="The price goes by"
          choices={[
            { value: 'weight', label: 'weight' },
            { value: 'price', label: 'sum of the goods' },
            { value: 'pieces', label: 'pieces' },
          ]}
          value={option.by}
          choose={(value) =>
            set({ by: value as DeliveryOption['by'], steps: [{ upTo: null, price: option.steps[0]!.price }] })
          }
        />
        {option.steps.map((step, i) => {
          const setStep = (over: Partial<typeof step>) =>
            set({ steps: option.steps.map((each, at) => (at === i ? { ...each, ...over } : each)) });
          return (
            <div key={i} className="flex flex-wrap items-end gap-3">
              <div className="w-36">
                <MeasureField
                  label={by.label}
                  placeholder={by.hint}
                  shown={step.upTo === null ? '' : by.shown(step.upTo)}
                  read={by.read}
                  change={(upTo) => setStep({ upTo: upTo as number | null })}
                />
              </div>
              <div className="w-28">
                <MeasureField
                  label="Costs"
                  shown={plainAmount(step.price)}
                  read={readAmount}
                  change={(price) => setStep({ price: price as number })}
                />
              </div>
              {option.steps.length > 1 && (
                <Button look="bare" onClick={() => set({ steps: option.steps.filter((_, at) => at !== i) })}>
                  Remove
                </Button>
              )}
            </div>
          );
        })}
        <Button
          look="bare"
          className="self-start"
          onClick={() => {
            const last = option.steps.at(-1)!;
            set({
              steps: [
                ...option.steps.slice(0, -1),
                { ...last, upTo: last.upTo ?? 1_000 },
                { upTo: null, price: last.price },
              ],
            });
          }}
        >
          <Plus size={13} aria-hidden="true" /> Add a step
        </Button>
        <div className="w-48">
          <MeasureField
            label="Free from this sum on"
            placeholder="never"
            shown={option.freeFrom === null ? '' : plainAmount(option.freeFrom)}
            read={amountOrNone}
            change={(freeFrom) => set({ freeFrom: freeFrom as number | null })}
          />
        </div>
        <Tick
          label="Only packages up to a size"
          checked={option.largest !== null}
          change={(is) => set({ largest: is ? { length: 380, width: 265, height: 32 } : null })}
        />
        {option.largest && (
          <div className="flex flex-wrap gap-3">
            {edge('length', 'Length')}
            {edge('width', 'Width')}
            {edge('height', 'Height')}
          </div>
        )}
        <Button look="bare" className="self-start" onClick={remove}>
          Delete this way of delivery
        </Button>
      </div>
    </details>
  );
}

function Payment({
  option,
  change,
  remove,
}: {
  option: PaymentOption;
  change: (option: PaymentOption) => void;
  remove: () => void;
}) {
  const set = (over: Partial<PaymentOption>) => change({ ...option, ...over });
  return (
    <details className="sheet p-3">
      <summary className="cursor-pointer font-semibold">
        {option.name} {!option.isOn && <span className="font-normal text-ink-2">off</span>}
      </summary>
      <div className="mt-3 flex flex-col gap-3">
        <Tick label="Offered to shoppers" checked={option.isOn} change={(isOn) => set({ isOn })} />
        <SchemaField
          label="Name"
          schema={paymentOptionSchema.shape.name}
          value={option.name}
          change={(name: string) => set({ name })}
        />
        <SchemaField
          label="Words for shoppers"
          rows={2}
          schema={paymentOptionSchema.shape.words}
          value={option.words}
          change={(words: string) => set({ words })}
        />
        <div className="w-36">
          <MeasureField
            label="Costs more"
            shown={plainAmount(option.fee)}
            read={readAmount}
            change={(fee) => set({ fee: fee as number })}
          />
        </div>
        <Button look="bare" className="self-start" onClick={remove}>
          Delete this way to pay
        </Button>
      </div>
    </details>
  );
}

/** How the shop sells: where the button leads, where goods are sent and how, and how they are paid. */
export function SellingPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  const { value: selling, change, error } = useField<Selling>(save, 'selling');
  const set = (over: Partial<Selling>) => change({ ...selling, ...over });
  const replace = <T extends { id: string }>(list: readonly T[], next: T) =>
    list.map((each) => (each.id === next.id ? next : each));
  return (
    <SaveSheet save={save} error={error}>
      <SheetPart title="The button on products">
        <OneOf
          label="After “Add to basket” shoppers see"
          choices={[
            { value: 'drawer', label: 'the basket beside the page' },
            { value: 'basket', label: 'the basket as a page' },
            { value: 'checkout', label: 'the checkout, for shops of one product' },
          ]}
          value={selling.button}
          choose={(button) => set({ button: button as Selling['button'] })}
        />
      </SheetPart>
      <SheetPart title="Where you send">
        <div>
          <span className="mb-1 block font-semibold">Your country</span>
          <Select
            label="Your country"
            value={selling.country}
            choices={countryCodes.map((code) => ({ value: code, label: countryName(code, 'en') }))}
            choose={(country) => set({ country })}
          />
        </div>
        <Countries
          label="You send to (none: only your own country)"
          codes={selling.countries}
          change={(countries) => set({ countries })}
        />
      </SheetPart>
      <SheetPart title="Ways of delivery" about="One that is switched off keeps all it says.">
        {selling.delivery.map((option) => (
          <Delivery
            key={option.id}
            option={option}
            change={(next) => set({ delivery: replace(selling.delivery, next) })}
            remove={() => set({ delivery: selling.delivery.filter(({ id }) => id !== option.id) })}
          />
        ))}
        <Button
          className="self-start"
          onClick={() =>
            set({
              delivery: [
                ...selling.delivery,
                {
                  id: newId('dlv'),
                  name: 'Parcel',
                  words: '',
                  isOn: false,
                  isCollected: false,
                  countries: [],
                  by: 'weight',
                  steps: [{ upTo: null, price: 595 }],
                  freeFrom: null,
                  largest: null,
                },
              ],
            })
          }
        >
          <Plus size={13} aria-hidden="true" /> Add a way of delivery
        </Button>
      </SheetPart>
      <SheetPart title="Ways to pay" about="All of them are simulated: no money moves.">
        {selling.payments.map((option) => (
          <Payment
            key={option.id}
            option={option}
            change={(next) => set({ payments: replace(selling.payments, next) })}
            remove={() => set({ payments: selling.payments.filter(({ id }) => id !== option.id) })}
          />
        ))}
        <Select
          label="Add a way to pay"
          value=""
          choices={Object.entries(paymentKinds).map(([value, label]) => ({ value, label }))}
          choose={(kind) =>
            set({
              payments: [
                ...selling.payments,
                {
                  id: newId('pay'),
                  kind: kind as PaymentKind,
                  name: paymentKinds[kind as PaymentKind],
                  words: '',
                  isOn: false,
                  fee: 0,
                },
              ],
            })
          }
          className="self-start font-semibold"
        />
      </SheetPart>
      <SheetPart title="Terms">
        <SchemaField
          label="What shoppers tick before they order"
          hint="Empty: nothing is asked."
          schema={sellingSchema.shape.terms}
          value={selling.terms}
          change={(terms: string) => set({ terms })}
        />
      </SheetPart>
    </SaveSheet>
  );
}
