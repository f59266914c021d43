import clsx from 'clsx';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { FieldChange } from '../../../core/publishing/changes';
import type { Held, ReviewedChange } from '../../data/review';
import { SwingTag } from '../../shared/ui/swing-tag';
import { Thumb } from '../../shared/ui/thumb';
import { addressOf, kindWords } from '../../shared/thing-addresses';

export const rowLook = 'flex items-start gap-4 border-b border-hair px-3.5 py-2 last:border-0 max-md:flex-wrap';

export function Sheet({ title, note, children }: { title: string; note: string; children: ReactNode }) {
  return (
    <section className="sheet">
      <h2 className="border-b border-hair px-3.5 py-2.5 font-display text-[15px] font-bold">
        {title} <span className="ml-1 font-sans text-xs font-semibold text-ink-2">{note}</span>
      </h2>
      <ul>{children}</ul>
    </section>
  );
}

type Change = Omit<ReviewedChange, 'held' | 'follows'>;

function Head({ change }: { change: Change }) {
  const to = addressOf(change);
  return (
    <span className="flex w-56 shrink-0 items-center gap-2.5">
      {change.kind === 'product' && <Thumb src={change.thumbnail} className="size-8" />}
      <span className="min-w-0">
        {to !== undefined && change.what !== 'gone' ? (
          <Link to={to} data-opens className="block truncate font-semibold hover:underline" title={change.title}>
            {change.title}
          </Link>
        ) : (
          <span className="block truncate font-semibold" title={change.title}>
            {change.title}
          </span>
        )}
        {change.kind !== 'product' && <span className="text-xs text-ink-2">{kindWords[change.kind]}</span>}
      </span>
    </span>
  );
}

function Field({ label, before, after, showLabel }: FieldChange & { showLabel: boolean }) {
  return (
    <p className="min-w-0 break-words">
      {showLabel && <span className="text-ink-2">{label}: </span>}
      {before && before !== 'as before' && <s className="mr-2 text-ink-2">{before}</s>}
      <strong className="font-semibold">{after || <span className="text-rose">nothing</span>}</strong>
    </p>
  );
}

function HeldTag({ held }: { held: Held }) {
  if (held.by === 'hand') return <SwingTag look="sky">Held back</SwingTag>;
  if (held.by === 'planned') return <SwingTag look="sky">{format(new Date(held.at), 'EEE d MMM HH:mm')}</SwingTag>;
  return <SwingTag look="sky">Waits for “{held.for.title}”</SwingTag>;
}

interface Props {
  change: Change;
  fields: readonly FieldChange[];
  held?: Held | null;
  /** what can be done with it */
  children?: ReactNode;
}

/** One thing that changed, in words: what it was, what it is, and what can be done about it. */
export function ChangeRow({ change, fields, held = null, children }: Props) {
  const isOnlyPrice = fields.length === 1 && fields[0]!.label === 'Price';
  return (
    <li
      data-change={`${change.kind}:${change.key}`}
      tabIndex={-1}
      className={clsx(rowLook, 'outline-none focus:bg-marigold-soft', held && 'bg-sunk')}
    >
      <span className="flex min-w-0 flex-1 items-start gap-4 max-md:flex-col max-md:gap-1">
        <Head change={change} />
        <span className="flex min-w-0 flex-1 flex-col gap-0.5 pt-1">
          {change.what === 'new' && <span className="font-semibold text-petrol">new</span>}
          {change.what === 'gone' && <span className="font-semibold text-rose">gone</span>}
          {fields.map((field) => (
            <Field
              key={field.label}
              {...field}
              label={field.label.replace(/^Price (?=.)/, '')}
              showLabel={!isOnlyPrice}
            />
          ))}
        </span>
      </span>
      <span className="flex shrink-0 items-center gap-1">
        {held && <HeldTag held={held} />}
        {children}
      </span>
    </li>
  );
}
