import clsx from 'clsx';
import { formatDistanceToNow } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { CallError, wordsOf } from '../../data/api';
import { useTakeBack } from '../../data/session';
import { useProposalWrites, type ProposalAnswer, type TakeBody } from '../../data/suppliers';
import { Button } from '../../shared/ui/button';
import { TextField } from '../../shared/ui/field';
import { MeasureField } from '../../shared/ui/measure-field';
import { Thumb } from '../../shared/ui/thumb';
import { columnOf, type ColumnName } from '../../shared/variant-columns';

type Row = ProposalAnswer['rows'][number];

const NO_UNIT = { unitPricing: null } as const;

/** What a row says, to be changed before it is taken. Rich text is taken as it is, and changed on the product. */
function Will({
  row,
  value,
  error,
  change,
}: {
  row: Row;
  value: unknown;
  error?: string;
  change: (value: unknown) => void;
}) {
  if (row.field === 'description') return <span className="line-clamp-3">{row.willWords}</span>;
  if (row.of !== 'variant')
    return (
      <MeasureField
        label={row.label}
        hideLabel
        shown={String(value ?? '')}
        selects={false}
        read={(typed) => ({ value: typed })}
        change={change}
        error={error}
        rows={row.field === 'summary' ? 2 : undefined}
      />
    );
  const column = columnOf(row.field as ColumnName);
  return (
    <MeasureField
      label={row.label}
      hideLabel
      shown={column.show(value, NO_UNIT)}
      read={(typed) => column.read(typed, NO_UNIT)}
      change={change}
      error={error}
      className="!w-36"
    />
  );
}

function Take({ label, isOn, toggle }: { label: string; isOn: boolean; toggle: () => void }) {
  return (
    <input
      type="checkbox"
      aria-label={`Take ${label}`}
      checked={isOn}
      onChange={toggle}
      className="mt-0.5 size-4 accent-petrol"
    />
  );
}

/** Edited values as a call sends them. */
function editsOf(rows: readonly Row[], edited: Readonly<Record<string, unknown>>): NonNullable<TakeBody['edits']> {
  const product: Record<string, unknown> = {};
  const variants: Record<string, Record<string, unknown>> = {};
  const texts: Record<string, Record<string, string>> = {};
  for (const { key, of, field, variantId, locale } of rows) {
    if (!(key in edited)) continue;
    if (of === 'product') product[field] = edited[key];
    else if (of === 'variant') (variants[variantId!] ??= {})[field] = edited[key];
    else (texts[locale!] ??= {})[field] = String(edited[key]);
  }
  return { product, variants, texts };
}

/** What one maker proposes of one product, row by row. */
export function Proposal({ proposal }: { proposal: ProposalAnswer }) {
  const { take, refuse } = useProposalWrites();
  const takeBack = useTakeBack();
  const [without, setWithout] = useState<ReadonlySet<string>>(new Set());
  const [edited, setEdited] = useState<Readonly<Record<string, unknown>>>({});
  const [reply, setReply] = useState('');
  const { id, title, by, supplier, isNew, isGone, productId, rows, pictures, note, madeAt, thumbnail } = proposal;
  const toggle = (key: string) => {
    const next = new Set(without);
    if (!next.delete(key)) next.add(key);
    setWithout(next);
  };
  const errors = take.error instanceof CallError ? take.error.errors : [];
  const errorOf = ({ of, field, variantId }: Row) =>
    errors.find(({ path }) =>
      of === 'variant'
        ? path[1] === 'variants' && path[2] === variantId && path[3] === field
        : path[1] === of && path[2] === field,
    )?.message;
  const replyProblem =
    refuse.error instanceof CallError
      ? refuse.error.errors.find(({ path }) => path[0] === 'reply')?.message
      : undefined;
  const unplaced =
    (take.error && !rows.some((row) => errorOf(row)) ? (errors[0]?.message ?? wordsOf(take.error)) : undefined) ??
    (refuse.error && !replyProblem ? wordsOf(refuse.error) : undefined);
  const isBusy = take.isPending || refuse.isPending;
  const doTake = () =>
    take.mutate(
      { id, without: [...without], edits: editsOf(rows, edited), reply },
      { onSuccess: () => takeBack.offer(`“${title}” is in the working copy`) },
    );
  const doRefuse = () =>
    refuse.mutate({ id, reply }, { onSuccess: () => void toast(`${by} is told why “${title}” is not taken`) });
  return (
    <article aria-label={title} className="sheet p-4">
      <header className="flex items-center gap-3">
        <Thumb src={thumbnail} className="size-10" />
        <div className="min-w-0 flex-1">
          <h2 className="truncate font-display text-lg font-bold" title={title}>
            {productId ? (
              <Link to={`/goods/${productId}`} className="hover:underline">
                {title}
              </Link>
            ) : (
              title
            )}
          </h2>
          <p className="text-ink-2">
            {isNew ? 'A new product, ' : ''}
            {by} of {supplier}, {formatDistanceToNow(new Date(madeAt))} ago
          </p>
        </div>
      </header>
      {note && <p className="mt-2 rounded-lg bg-sunk px-3 py-2">“{note}”</p>}
      {isGone && (
        <p role="status" className="mt-2 text-rose-ink">
          This product was deleted since. Undo that to take the proposal, or refuse it.
        </p>
      )}
      <ul className="mt-3">
        {rows.map((row) => (
          <li
            key={row.key}
            className={clsx(
              'grid grid-cols-[1.25rem_9rem_1fr_1fr] items-start gap-3 border-t border-hair py-2 max-md:grid-cols-[1.25rem_1fr]',
              without.has(row.key) && 'opacity-60',
            )}
          >
            <Take label={row.label} isOn={!without.has(row.key)} toggle={() => toggle(row.key)} />
            <span className="font-semibold">{row.label}</span>
            <span className="min-w-0 text-ink-2 max-md:col-start-2">
              <span className="line-clamp-3 break-words">{isNew ? '' : row.nowWords || 'nothing so far'}</span>
              {row.isOutdated && (
                <span className="block text-xs font-semibold text-marigold-ink">
                  you changed it since this was proposed
                </span>
              )}
            </span>
            <span className="min-w-0 max-md:col-start-2">
              <Will
                row={row}
                value={row.key in edited ? edited[row.key] : row.will}
                error={errorOf(row)}
                change={(value) => setEdited({ ...edited, [row.key]: value })}
              />
            </span>
          </li>
        ))}
        {pictures.length > 0 && (
          <li className="grid grid-cols-[1.25rem_9rem_1fr] items-start gap-3 border-t border-hair py-2">
            <Take label="the pictures" isOn={!without.has('pictures')} toggle={() => toggle('pictures')} />
            <span className="font-semibold">{pictures.length === 1 ? 'A picture' : `${pictures.length} pictures`}</span>
            <span className="flex flex-wrap gap-2">
              {pictures.map((src) => (
                <Thumb key={src} src={src} alt="proposed picture" className="size-16" />
              ))}
            </span>
          </li>
        )}
      </ul>
      {unplaced && (
        <p role="alert" className="mt-2 text-rose-ink">
          {unplaced}
        </p>
      )}
      <footer className="mt-3 flex flex-wrap items-start gap-2 border-t border-line pt-3">
        <div className="min-w-52 flex-1">
          <TextField
            label={`A word to ${by}`}
            hideLabel
            placeholder={`a word to ${by}: needed to refuse, kind otherwise`}
            value={reply}
            error={replyProblem}
            onChange={({ target }) => setReply(target.value)}
          />
        </div>
        <Button disabled={isBusy} onClick={doRefuse}>
          Refuse
        </Button>
        <Button look="main" disabled={isBusy || isGone} onClick={doTake}>
          {without.size > 0 ? 'Take what is ticked' : 'Take it'}
        </Button>
      </footer>
    </article>
  );
}
