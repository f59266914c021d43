import type { ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useTitle } from './use-title';

interface Props {
  name: string;
  /** address of the desk */
  at: string;
  /** what it is parted into; the first one is shown where none is asked for */
  parts: readonly { part: string; words: string; draw: () => ReactNode }[];
}

/** A desk with several parts, one of which is in sight: which one stands in the address. */
export function PartedDesk({ name, at, parts }: Props) {
  const [params] = useSearchParams();
  useTitle(name);
  const shown = parts.find(({ part }) => part === params.get('part')) ?? parts[0]!;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-display text-2xl font-bold">{name}</h1>
        <div role="tablist" aria-label={name} className="flex flex-wrap gap-1">
          {parts.map(({ part, words }) => (
            <Link
              key={part}
              role="tab"
              aria-selected={part === shown.part}
              to={part === parts[0]!.part ? at : `${at}?part=${part}`}
              className="rounded-lg px-3 py-1.5 hover:bg-line aria-selected:bg-ink aria-selected:text-sheet"
            >
              {words}
            </Link>
          ))}
        </div>
      </div>
      {shown.draw()}
    </div>
  );
}
