import { useCallback } from 'react';
import { Link, useSearchParams } from 'react-router';
import { supplierSchema, type Supplier } from '../../../core/model/supplier';
import { formatMoney, plainAmount } from '../../../core/shared/money';
import { useTakeBack } from '../../data/session';
import { saveSupplier, useSupplier, useSupplierWrites } from '../../data/suppliers';
import { useAutosave, useField, useText } from '../../shared/autosave/use-autosave';
import { Button } from '../../shared/ui/button';
import { Clashes } from '../../shared/ui/clashes';
import { useConfirm } from '../../shared/ui/confirm';
import { TextArea, TextField } from '../../shared/ui/field';
import { MeasureField } from '../../shared/ui/measure-field';
import { NameField } from '../../shared/ui/name-field';
import { readAmount } from '../../shared/ui/readings';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Failed, Loading } from '../../shared/ui/states';
import { Reorder } from './reorder';
import { Supplies } from './supplies';
import { tellRefused } from '../../data/tell-refused';

const parts = [
  { part: 'details', words: 'Details' },
  { part: 'goods', words: 'Goods and costs' },
  { part: 'order', words: 'What to order' },
] as const;

function readDays(typed: string) {
  const value = typed.trim() === '' ? null : Number(typed);
  const { success, data, error } = supplierSchema.shape.deliveryDays.safeParse(value);
  return success ? { value: data } : { problem: error.issues[0]!.message };
}

function Details({ supplier, currency }: { supplier: Supplier; currency: string }) {
  const shown = useCallback((key: string): unknown => supplier[key as keyof Supplier], [supplier]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({
      saved: (await saveSupplier(supplier.id, { ...(values as Partial<Supplier>), was })).supplier,
    }),
    keyOf: (path) => String(path[0]),
  });
  const days = useField<number | null>(save, 'deliveryDays');
  const smallest = useField<number | null>(save, 'smallestOrder');
  return (
    <div className="sheet flex flex-col gap-3 p-4">
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <TextField label="Whom you speak to" {...useText(save, 'contact')} />
        <TextField label="Your customer number there" {...useText(save, 'accountNumber')} />
        <TextField label="Mail" type="email" {...useText(save, 'email')} />
        <TextField label="Phone" type="tel" {...useText(save, 'phone')} />
        <MeasureField
          label="Delivery time in days"
          hint="from your order to the arrival; 14 are taken while nothing is said"
          shown={days.value === null ? '' : String(days.value)}
          read={readDays}
          change={(value) => days.change(value as number | null)}
          error={days.error}
          unsaved={days.unsaved}
        />
        <MeasureField
          label={`Smallest order, ${currency}`}
          hint="at their prices; less is not delivered"
          shown={smallest.value === null ? '' : plainAmount(smallest.value)}
          read={(typed) => (typed.trim() === '' ? { value: null } : readAmount(typed))}
          change={(value) => smallest.change(value as number | null)}
          error={smallest.error}
          unsaved={smallest.unsaved}
        />
      </div>
      <TextArea label="Address" rows={3} {...useText(save, 'address')} />
      <TextArea label="Note" rows={3} hint="when they are closed, how they like orders …" {...useText(save, 'note')} />
      <Clashes save={save} />
      <SaveStateWords save={save} />
    </div>
  );
}

interface Props {
  id: string;
  /** people who sign in for it */
  makers: readonly string[];
  goodsCount: number;
  gone: () => void;
}

/** One supplier: details, what it has, what to order. */
export function SupplierSheet({ id, makers, goodsCount, gone }: Props) {
  const { data, error, refetch } = useSupplier(id);
  const { rename, remove } = useSupplierWrites();
  const takeBack = useTakeBack();
  const [params] = useSearchParams();
  const [ask, dialog] = useConfirm();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={6} />;
  const { supplier, currency, goods } = data;
  const shown = parts.find(({ part }) => part === params.get('part'))?.part ?? 'details';
  const drop = () =>
    remove.mutate(id, {
      onSuccess: () => {
        takeBack.offer(`“${supplier.name}” is deleted`);
        gone();
      },
      onError: tellRefused,
    });
  const askFirst = () =>
    ask({
      title: `Delete “${supplier.name}”?`,
      detail:
        goodsCount === 0
          ? 'Its details go.'
          : `Its details and costs go, and ${goodsCount} ${goodsCount === 1 ? 'product is' : 'products are'} ordered from nobody then. The products stay.`,
      doIt: 'Delete it',
      run: drop,
    });
  return (
    <section aria-label={supplier.name} className="min-w-0 flex-1 self-stretch">
      <div className="mb-3 flex flex-wrap items-center gap-x-3 gap-y-2">
        <NameField
          aria-label="Name of the supplier"
          value={supplier.name}
          keep={(name) => rename.mutate({ id, name, was: supplier.name }, { onError: tellRefused })}
          className="min-w-0 flex-1 rounded-lg border border-transparent bg-transparent px-1 font-display text-xl font-bold hover:border-line"
        />
        <div role="tablist" aria-label="Parts" className="flex flex-wrap gap-1">
          {parts.map(({ part, words }) => (
            <Link
              key={part}
              role="tab"
              aria-selected={part === shown}
              to={part === 'details' ? `/suppliers/${id}` : `/suppliers/${id}?part=${part}`}
              className="rounded-lg px-3 py-1.5 hover:bg-line aria-selected:bg-ink aria-selected:text-sheet"
            >
              {words}
            </Link>
          ))}
        </div>
      </div>
      {shown === 'details' && (
        <>
          <Details supplier={supplier} currency={currency} />
          <p className="mt-3 text-ink-2">
            {makers.length > 0
              ? `${makers.join(', ')} ${makers.length === 1 ? 'proposes' : 'propose'} changes to these goods. `
              : ''}
            <Link to="/shopfront?view=settings&part=people" className="text-petrol hover:underline">
              Let somebody who makes them sign in
            </Link>
          </p>
          <Button look="bare" className="mt-2 text-rose-ink" onClick={askFirst}>
            Delete this supplier
          </Button>
          {dialog}
        </>
      )}
      {shown === 'goods' && <Supplies supplier={supplier} goods={goods} currency={currency} />}
      {shown === 'order' && <Reorder supplier={supplier} money={(minor) => formatMoney(minor, currency)} />}
    </section>
  );
}
