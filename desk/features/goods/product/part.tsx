import type { ReactNode } from 'react';

interface Props {
  id: string;
  title: string;
  hint?: ReactNode;
  aside?: ReactNode;
  children: ReactNode;
}

/** One part of the product page: a sheet with its heading, which the left column leads to. */
export function Part({ id, title, hint, aside, children }: Props) {
  return (
    <section id={id} aria-labelledby={`${id}-title`} className="sheet scroll-mt-24 p-3.5">
      <div className="mb-2.5 flex flex-wrap items-baseline gap-x-3">
        <h2 id={`${id}-title`} className="font-display text-[15px] font-bold">
          {title}
        </h2>
        {hint && <p className="text-ink-2">{hint}</p>}
        {aside && <div className="ml-auto">{aside}</div>}
      </div>
      {children}
    </section>
  );
}
