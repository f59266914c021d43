import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { stockReasons, type StockReason } from '../../../../core/model/product-values';
import { variantName } from '../../../../core/products/variants';
import { call, CallError, wordsOf } from '../../../data/api';
import { Button } from '../../../shared/ui/button';
import { Dialog } from '../../../shared/ui/dialog';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import { Failed, Loading } from '../../../shared/ui/states';
import { useKeepProduct } from '../../../data/goods';
import { emptied } from '../../../shared/ui/emptied';

const reasonWords: Record<StockReason, string> = {
  delivered: 'Delivered: how many more',
  counted: 'Stock take: how many there are',
  returned: 'Returned: how many more',
  damaged: 'Damaged or lost: how many fewer',
  other: 'Other: how many more (use a minus for fewer)',
};

const ledgerKey = (id: string) => ['product', id, 'stock'];

const stockWords = (count: number | null) => (count === null ? 'not counted' : String(count));

function Ledger({ answer: { product } }: { answer: ProductAnswer }) {
  const { data, error } = useQuery({
    queryKey: ledgerKey(product.id),
    queryFn: () => call(routes.stock.ledger, { params: { id: product.id } }),
  });
  if (error && !data) return <Failed error={error} />;
  if (!data) return <Loading rows={3} />;
  if (data.movements.length === 0) return <p className="text-ink-2">No stock has moved yet.</p>;
  const names = new Map(product.variants.map((variant) => [variant.id, variantName(product.options, variant)]));
  return (
    <ol className="max-h-52 overflow-y-auto">
      {data.movements.map(({ variantId, at, userName, words, before, after }, i) => (
        <li key={i} className="flex items-baseline gap-3 border-b border-hair py-1.5 last:border-0">
          <span className="w-24 shrink-0 text-right">
            <s className="text-ink-2">{stockWords(before)}</s> <strong>{stockWords(after)}</strong>
          </span>
          <span className="min-w-0 flex-1">
            {names.get(variantId) || (names.has(variantId) ? '' : 'a variant that is gone')}
            <span className="block text-xs text-ink-2">
              {words} · {userName ?? 'Dispona'}, {formatDistanceToNow(at, { addSuffix: true })}
            </span>
          </span>
        </li>
      ))}
    </ol>
  );
}

const entriesOf = (typed: Readonly<Record<string, string>>) =>
  Object.entries(typed).filter(([, text]) => text.trim() !== '');

/** Moves stock with a reason, and shows all that moved so far. */
export function StockDialog({ answer, close }: { answer: ProductAnswer; close: () => void }) {
  const { product } = answer;
  const keep = useKeepProduct();
  const client = useQueryClient();
  const [reason, setReason] = useState<StockReason>('delivered');
  const [note, setNote] = useState('');
  const [typed, setTyped] = useState<Record<string, string>>({});
  const entries = entriesOf(typed);
  const move = useMutation({
    mutationFn: (sent: { reason: StockReason; typed: typeof typed; note: string }) =>
      call(routes.stock.move, {
        params: { id: product.id },
        body: {
          reason: sent.reason,
          note: sent.note,
          moves: entriesOf(sent.typed).map(([id, text]) => ({
            id,
            pieces: sent.reason === 'damaged' ? -Math.abs(Number(text)) : Number(text),
          })),
        },
      }),
    onSuccess: (saved, sent) => {
      keep(saved);
      void client.invalidateQueries({ queryKey: ledgerKey(product.id) });
      setTyped((now) =>
        Object.fromEntries(Object.entries(now).map(([id, text]) => [id, emptied(sent.typed[id] ?? '')(text)])),
      );
      setNote(emptied(sent.note));
    },
  });
  const errors = move.error instanceof CallError ? move.error.errors : [];
  const errorOf = (id: string) => {
    const at = entriesOf(move.variables?.typed ?? {}).findIndex(([each]) => each === id);
    return errors.find(({ path }) => path[0] === 'moves' && path[1] === at)?.message;
  };
  return (
    <Dialog title={`Stock of ${product.title}`} isOpen close={close} isForm width="max-w-2xl">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (entries.length > 0) move.mutate({ reason, typed, note });
        }}
      >
        <div className="flex items-end gap-3">
          <div>
            <span className="mb-1 block font-semibold">What happened</span>
            <Select
              label="What happened"
              value={reason}
              choices={stockReasons.map((value) => ({ value, label: reasonWords[value] }))}
              choose={(value) => setReason(value as StockReason)}
              className="w-64 !py-[6px]"
            />
          </div>
          <div className="flex-1">
            <TextField
              label="Note"
              placeholder="delivery 214"
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
          </div>
        </div>
        <ul className="mt-3 grid max-h-56 gap-x-6 gap-y-1.5 overflow-y-auto p-1 sm:grid-cols-2">
          {product.variants.map((variant) => {
            const name = variantName(product.options, variant) || product.title;
            return (
              <li key={variant.id} className="grid grid-cols-[1fr_auto_4.5rem] items-center gap-2">
                <span className="truncate" title={name}>
                  {name}
                </span>
                <span className="text-ink-2">{stockWords(variant.stock)}</span>
                <TextField
                  label={`Pieces, ${name}`}
                  hideLabel
                  inputMode="numeric"
                  value={typed[variant.id] ?? ''}
                  error={errorOf(variant.id)}
                  onChange={(event) => setTyped((now) => ({ ...now, [variant.id]: event.target.value }))}
                  className="text-right"
                />
              </li>
            );
          })}
        </ul>
        {move.error && errors.length === 0 && (
          <p role="alert" className="mt-2 text-rose-ink">
            {wordsOf(move.error)}
          </p>
        )}
        <div className="mt-3 flex justify-end gap-2">
          <Button onClick={close}>Close</Button>
          <Button type="submit" look="main" disabled={entries.length === 0 || move.isPending}>
            Note it
          </Button>
        </div>
      </form>
      <h3 className="mb-1 mt-4 font-semibold">What moved so far</h3>
      <Ledger answer={answer} />
    </Dialog>
  );
}
