import { useState } from 'react';
import { costOfPieces } from '../../../core/orders/order-state';
import { formatMoney, plainAmount } from '../../../core/shared/money';
import { useOrderSteps, type OrderAnswer } from '../../data/orders';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { readAmount } from '../../shared/ui/readings';
import { Tick } from '../../shared/ui/tick';
import { refusalOf, tellRefused } from '../../data/tell-refused';

interface FormProps {
  order: OrderAnswer;
  close: () => void;
}

const nameOf = ({ body }: OrderAnswer, key: string) => {
  const line = body.lines.find((each) => each.key === key);
  return [line?.title, line?.variant].filter(Boolean).join(', ');
};

/** How many pieces of which lines; what cannot be, each field says. */
function usePieces(most: Readonly<Record<string, number>>, start: (left: number) => number) {
  const keys = Object.keys(most).filter((key) => most[key]! > 0);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(keys.map((key) => [key, String(start(most[key]!))])),
  );
  const problemOf = (key: string) => {
    const count = Number(typed[key]);
    return /^\d+$/.test(typed[key]!.trim()) && count <= most[key]! ? undefined : `0 to ${most[key]}`;
  };
  const lines = keys.flatMap((key) => (Number(typed[key]) > 0 ? [{ key, quantity: Number(typed[key]) }] : []));
  const fields = (order: OrderAnswer) =>
    keys.map((key) => (
      <div key={key} className="flex items-start gap-3">
        <span className="min-w-0 flex-1 break-words pt-1.5">{nameOf(order, key)}</span>
        <div className="w-20">
          <TextField
            label={`Pieces of ${nameOf(order, key)}`}
            hideLabel
            inputMode="numeric"
            value={typed[key]}
            error={problemOf(key)}
            onChange={({ target }) => setTyped({ ...typed, [key]: target.value })}
          />
        </div>
        <span className="pt-1.5 text-ink-2">of {most[key]}</span>
      </div>
    ));
  return { lines, fields, isRight: keys.every((key) => problemOf(key) === undefined) };
}

interface EndsProps {
  words: string;
  leave?: string;
  look?: 'main' | 'danger';
  close: () => void;
  isOff: boolean;
}

/** How a form ends: left as it is, or done. */
const Ends = ({ words, leave = 'Not now', look = 'main', close, isOff }: EndsProps) => (
  <div className="flex justify-end gap-2">
    <Button onClick={close}>{leave}</Button>
    <Button type="submit" look={look} disabled={isOff}>
      {words}
    </Button>
  </div>
);

function Parcel({ order, close }: FormProps) {
  const { sent } = useOrderSteps(order.id);
  const { lines, fields, isRight } = usePieces(order.unsent, (left) => left);
  const [tracking, setTracking] = useState('');
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        sent.mutate({ lines, tracking }, { onSuccess: close, onError: tellRefused });
      }}
    >
      {fields(order)}
      <TextField
        label="Tracking number"
        placeholder="if there is one"
        value={tracking}
        onChange={({ target }) => setTracking(target.value)}
      />
      <p className="text-xs text-ink-2">The shopper gets a mail. What is not in this parcel stays to be sent.</p>
      <Ends words="Send the parcel" close={close} isOff={!isRight || lines.length === 0 || sent.isPending} />
    </form>
  );
}

function Refund({ order, close }: FormProps) {
  const { refund } = useOrderSteps(order.id);
  const { lines, fields, isRight } = usePieces(order.kept, () => 0);
  const [amount, setAmount] = useState('');
  const [reason, setReason] = useState('');
  const [restocked, setRestocked] = useState(true);
  const [problem, setProblem] = useState<string | undefined>();
  const read = amount.trim() === '' ? { value: null } : readAmount(amount);
  const money = (minor: number) => formatMoney(minor, order.body.currency);
  const cost = costOfPieces(order.body, new Map(Object.entries(order.kept)), lines);
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if ('problem' in read) return;
        refund.mutate(
          { lines, amount: read.value, restocked, reason },
          {
            onSuccess: close,
            onError: (error) => setProblem(refusalOf(error)),
          },
        );
      }}
    >
      {fields(order)}
      <TextField
        label="Paid back"
        placeholder={lines.length > 0 ? plainAmount(cost) : 'an amount'}
        hint={
          lines.length > 0 ? 'Empty: what these pieces cost.' : `At most ${money(order.body.total - order.refunded)}.`
        }
        error={'problem' in read ? read.problem : problem}
        value={amount}
        onChange={({ target }) => {
          setProblem(undefined);
          setAmount(target.value);
        }}
      />
      <Tick label="The pieces go back into stock" checked={restocked} change={setRestocked} />
      <TextField
        label="Words for the shopper"
        placeholder="if you like"
        value={reason}
        onChange={({ target }) => setReason(target.value)}
      />
      <Ends
        words="Pay it back"
        close={close}
        isOff={!isRight || 'problem' in read || (lines.length === 0 && read.value === null) || refund.isPending}
      />
    </form>
  );
}

function Cancel({ order, close }: FormProps) {
  const { cancel } = useOrderSteps(order.id);
  const [reason, setReason] = useState('');
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        cancel.mutate(reason, { onSuccess: close, onError: tellRefused });
      }}
    >
      <p className="text-ink-2">
        Its pieces go back into stock, its codes can be used again, and gift cards get their money back.
      </p>
      <TextField
        label="Words for the shopper"
        placeholder="if you like"
        value={reason}
        onChange={({ target }) => setReason(target.value)}
      />
      <Ends words="Cancel the order" look="danger" leave="Keep it" close={close} isOff={cancel.isPending} />
    </form>
  );
}

const dialogs = {
  parcel: { title: 'A parcel goes out', Form: Parcel },
  refund: { title: 'Money back', Form: Refund },
  cancel: { title: 'Cancel this order?', Form: Cancel },
} as const;

/** What can be done with an order now. */
export function OrderActs({ order }: { order: OrderAnswer }) {
  const { paid } = useOrderSteps(order.id);
  const [open, setOpen] = useState<keyof typeof dialogs | null>(null);
  const isOver = order.status === 'cancelled' || order.status === 'refunded';
  const hasUnsent = Object.values(order.unsent).some((left) => left > 0);
  const current = open && dialogs[open];
  return (
    <div className="flex flex-wrap gap-2">
      {!order.isPaid && !isOver && (
        <Button look="main" disabled={paid.isPending} onClick={() => paid.mutate(undefined, { onError: tellRefused })}>
          It is paid
        </Button>
      )}
      {hasUnsent && !isOver && (
        <Button look={order.isPaid ? 'main' : 'plain'} onClick={() => setOpen('parcel')}>
          Send a parcel
        </Button>
      )}
      {order.isPaid && !isOver && <Button onClick={() => setOpen('refund')}>Money back</Button>}
      {!order.isPaid && !isOver && <Button onClick={() => setOpen('cancel')}>Cancel it</Button>}
      {current && (
        <Dialog title={current.title} isOpen close={() => setOpen(null)} isForm>
          <current.Form order={order} close={() => setOpen(null)} />
        </Dialog>
      )}
    </div>
  );
}
