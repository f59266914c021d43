import { Check, X } from 'lucide-react';

export interface Reason {
  words: string;
  holds: boolean;
  actual: string;
  isTurned: boolean;
}

/** Why a rule takes a product in or not, condition by condition. */
export function Reasons({ reasons, className = '' }: { reasons: readonly Reason[]; className?: string }) {
  return (
    <ul className={`flex flex-col gap-0.5 ${className}`}>
      {reasons.map(({ words, holds, actual, isTurned }, i) => (
        <li key={i} className="flex items-baseline gap-1.5">
          {holds !== isTurned ? (
            <Check size={12} className="shrink-0 self-center text-petrol" aria-label="as asked for" />
          ) : (
            <X size={12} className="shrink-0 self-center text-rose" aria-label="not as asked for" />
          )}
          <span>
            {isTurned ? `not: ${words}` : words}
            {actual && <span className="text-ink-2"> · it has {actual}</span>}
          </span>
        </li>
      ))}
    </ul>
  );
}
