import type { ReactNode } from 'react';

/** One filter below its name, which folds it. */
export function Facet({ label, folded = false, children }: { label: string; folded?: boolean; children: ReactNode }) {
  return (
    <details open={!folded} className="group border-t border-line py-4">
      <summary className="flex cursor-pointer list-none items-center justify-between text-sm font-semibold text-ink">
        {label}
        <span aria-hidden="true" className="text-ink-soft transition group-open:rotate-180">
          ⌄
        </span>
      </summary>
      <fieldset className="mt-2">
        <legend className="sr-only">{label}</legend>
        {children}
      </fieldset>
    </details>
  );
}
