import type { ReactNode } from 'react';
import { wordsOf } from '../../data/api';
import { Button } from './button';

/** Nothing here yet, or nothing that matches: says what to do next. */
export function Empty({ title, children, action }: { title: string; children?: ReactNode; action?: ReactNode }) {
  return (
    <div className="flex flex-col items-center gap-2 px-6 py-14 text-center">
      <p className="font-display text-lg font-bold">{title}</p>
      {children && <p className="max-w-sm text-ink-2">{children}</p>}
      {action && <div className="mt-2">{action}</div>}
    </div>
  );
}

export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  return (
    <div
      role="alert"
      className="m-4 flex flex-col items-start gap-2 rounded-[10px] bg-rose-soft px-5 py-4 text-rose-ink"
    >
      <p className="font-semibold">This could not be loaded.</p>
      <p>{wordsOf(error)}</p>
      {retry && <Button onClick={retry}>Try again</Button>}
    </div>
  );
}

/** Grey bars in the shape of what is coming. */
export function Loading({ rows = 8, label = 'Loading' }: { rows?: number; label?: string }) {
  return (
    <div role="status" aria-label={label} className="flex animate-pulse flex-col gap-3 p-4 motion-reduce:animate-none">
      {Array.from({ length: rows }, (_, i) => (
        <div key={i} className="flex items-center gap-3">
          <div className="size-9 rounded-lg bg-sunk" />
          <div className="h-3 rounded bg-sunk" style={{ width: `${30 + ((i * 23) % 40)}%` }} />
        </div>
      ))}
    </div>
  );
}
