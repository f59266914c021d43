import type { ReactNode } from 'react';

interface Props {
  id: string;
  title: string;
  /** closed behind its heading until it is wanted */
  folded: boolean;
  children: ReactNode;
}

/** A part of a product page below its heading. */
export const Folding = ({ id, title, folded, children }: Props) =>
  folded ? (
    <details className="group mt-8 border-t border-line pt-6">
      <summary className="flex cursor-pointer list-none items-center justify-between">
        <h2 className="font-display text-lg font-bold text-ink">{title}</h2>
        <span aria-hidden="true" className="text-ink-soft transition group-open:rotate-180">
          ⌄
        </span>
      </summary>
      <div className="mt-3">{children}</div>
    </details>
  ) : (
    <section className="mt-8 border-t border-line pt-6" aria-labelledby={id}>
      <h2 id={id} className="mb-3 font-display text-lg font-bold text-ink">
        {title}
      </h2>
      {children}
    </section>
  );
