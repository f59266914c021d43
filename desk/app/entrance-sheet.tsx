import type { ReactNode } from 'react';

/** What people see before they are let in. */
export function EntranceSheet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="flex h-full items-start justify-center overflow-y-auto p-6 pt-[14vh]">
      <div className="w-full max-w-sm">
        <p className="mb-6 flex items-center gap-3 font-display text-2xl font-bold">
          <svg viewBox="0 0 24 20" className="w-8" aria-hidden="true">
            <rect x="0" y="1" width="13" height="4.6" rx="1.6" className="fill-marigold" />
            <rect x="6" y="7.6" width="15" height="4.6" rx="1.6" className="fill-ink" />
            <rect x="3" y="14.2" width="10" height="4.6" rx="1.6" className="fill-petrol" />
          </svg>
          Dispona
        </p>
        <div className="sheet p-6">
          <h1 className="mb-4 font-display text-lg font-bold">{title}</h1>
          {children}
        </div>
      </div>
    </main>
  );
}
