import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { OfferAction, OfferActionKind, OfferActionOf } from '../../../core/model/offer-action';
import { plainAmount } from '../../../core/shared/money';
import { AddProduct } from '../../shared/pickers/add-product';
import { Button } from '../../shared/ui/button';
import { MeasureField } from '../../shared/ui/measure-field';
import { OneOf } from '../../shared/ui/one-of';
import { readAmount, readPercent, readWhole } from '../../shared/ui/readings';
import { Select } from '../../shared/ui/select';
import { useFirstVariant, useSomeProduct } from './use-first-variant';

const percentText = (basisPoints: number) => `${basisPoints / 100} %`;

const Percent = ({ label, value, change }: { label: string; value: number; change: (value: number) => void }) => (
  <MeasureField label={label} shown={percentText(value)} read={readPercent} change={(next) => change(next as number)} />
);
const Amount = ({ label, value, change }: { label: string; value: number; change: (value: number) => void }) => (
  <MeasureField label={label} shown={plainAmount(value)} read={readAmount} change={(next) => change(next as number)} />
);
const Whole = ({ label, value, change }: { label: string; value: number; change: (value: number) => void }) => (
  <MeasureField label={label} shown={String(value)} read={readWhole} change={(next) => change(next as number)} />
);

interface FormProps<K extends OfferActionKind> {
  action: OfferActionOf<K>;
  change: (action: OfferActionOf<K>) => void;
}

function GiftField({ action, change }: FormProps<'gift'>) {
  const firstVariant = useFirstVariant();
  const { data } = useSomeProduct(action.productId);
  return (
    <div>
      <span className="mb-1 block font-semibold">The gift</span>
      <p className="mb-2 text-ink-2">{data?.product.title ?? 'Nothing is chosen yet.'}</p>
      <AddProduct
        label="Find the gift"
        taken={[action.productId]}
        add={(productId) =>
          void firstVariant(productId).then((variantId) => variantId && change({ ...action, productId, variantId }))
        }
      />
    </div>
  );
}

/** What each sort of offer is called, how it begins, and its fields. Whoever adds one is asked for it here. */
const forms: {
  readonly [K in OfferActionKind]: {
    name: string;
    start: OfferActionOf<K>;
    fields: (props: FormProps<K>) => ReactNode;
  };
} = {
  percent: {
    name: 'a percentage off',
    start: { does: 'percent', off: 1_000 },
    fields: ({ action, change }) => (
      <Percent label="Off" value={action.off} change={(off) => change({ ...action, off })} />
    ),
  },
  amount: {
    name: 'an amount off',
    start: { does: 'amount', off: 500, per: 'piece' },
    fields: ({ action, change }) => (
      <>
        <Amount label="Off" value={action.off} change={(off) => change({ ...action, off })} />
        <OneOf
          label="Of what"
          choices={[
            { value: 'piece', label: 'each piece' },
            { value: 'order', label: 'the whole order' },
          ]}
          value={action.per}
          choose={(per) => change({ ...action, per: per as 'piece' | 'order' })}
        />
      </>
    ),
  },
  price: {
    name: 'a fixed price',
    start: { does: 'price', price: 1_000 },
    fields: ({ action, change }) => (
      <Amount label="Price of each piece" value={action.price} change={(price) => change({ ...action, price })} />
    ),
  },
  costPlus: {
    name: 'cost plus a percentage',
    start: { does: 'costPlus', plus: 2_500 },
    fields: ({ action, change }) => (
      <Percent label="On top of the cost" value={action.plus} change={(plus) => change({ ...action, plus })} />
    ),
  },
  oneOf: {
    name: 'one of several cheaper',
    start: { does: 'oneOf', of: 2, which: 'cheapest', off: 5_000 },
    fields: ({ action, change }) => (
      <>
        <Whole label="Of each so many pieces" value={action.of} change={(of) => change({ ...action, of })} />
        <OneOf
          label="Which one"
          choices={[
            { value: 'cheapest', label: 'the cheapest' },
            { value: 'dearest', label: 'the dearest' },
          ]}
          value={action.which}
          choose={(which) => change({ ...action, which: which as 'cheapest' | 'dearest' })}
        />
        <Percent label="Off (100 % is free)" value={action.off} change={(off) => change({ ...action, off })} />
      </>
    ),
  },
  nForM: {
    name: 'several for the price of fewer',
    start: { does: 'nForM', take: 3, pay: 2 },
    fields: ({ action, change }) => (
      <>
        <Whole label="Pieces taken" value={action.take} change={(take) => change({ ...action, take })} />
        <Whole label="Pieces paid for" value={action.pay} change={(pay) => change({ ...action, pay })} />
      </>
    ),
  },
  setPrice: {
    name: 'one price for several',
    start: { does: 'setPrice', pieces: 3, price: 2_500 },
    fields: ({ action, change }) => (
      <>
        <Whole label="Pieces" value={action.pieces} change={(pieces) => change({ ...action, pieces })} />
        <Amount label="Price of them together" value={action.price} change={(price) => change({ ...action, price })} />
      </>
    ),
  },
  ladder: {
    name: 'more pieces, more off',
    start: { does: 'ladder', steps: [{ from: 3, off: 500 }] },
    fields: ({ action, change }) => (
      <>
        {action.steps.map((step, i) => {
          const set = (over: Partial<typeof step>) =>
            change({ ...action, steps: action.steps.map((each, at) => (at === i ? { ...each, ...over } : each)) });
          return (
            <div key={i} className="flex items-end gap-2">
              <Whole label="From pieces" value={step.from} change={(from) => set({ from })} />
              <Percent label="Off" value={step.off} change={(off) => set({ off })} />
              {action.steps.length > 1 && (
                <Button
                  look="bare"
                  aria-label={`Remove step ${i + 1}`}
                  onClick={() => change({ ...action, steps: action.steps.filter((_, at) => at !== i) })}
                >
                  <X size={14} aria-hidden="true" />
                </Button>
              )}
            </div>
          );
        })}
        {action.steps.length < 8 && (
          <Button
            look="bare"
            className="self-start"
            onClick={() => {
              const last = action.steps.at(-1)!;
              change({
                ...action,
                steps: [...action.steps, { from: last.from + 3, off: Math.min(10_000, last.off + 500) }],
              });
            }}
          >
            <Plus size={13} aria-hidden="true" /> Add a step
          </Button>
        )}
      </>
    ),
  },
  gift: {
    name: 'a gift',
    start: { does: 'gift', productId: '', variantId: '' },
    fields: GiftField,
  },
  freeDelivery: {
    name: 'free delivery',
    start: { does: 'freeDelivery' },
    fields: () => <p className="text-ink-2">Delivery costs nothing while the conditions hold.</p>,
  },
};

const kinds = Object.entries(forms).map(([value, { name }]) => ({ value, label: name }));

/** What an offer does: which sort it is, and its fields. */
export function ActionFields({ action, change }: { action: OfferAction; change: (action: OfferAction) => void }) {
  const form = forms[action.does];
  const Fields = form.fields as (props: FormProps<OfferActionKind>) => ReactNode;
  return (
    <>
      <Select
        label="What it gives"
        value={action.does}
        choices={kinds}
        choose={(does) => change(forms[does as OfferActionKind].start)}
        className="self-start font-semibold"
      />
      <Fields key={action.does} action={action} change={change} />
    </>
  );
}
