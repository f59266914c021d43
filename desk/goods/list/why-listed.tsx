import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { Check, X } from 'lucide-react';
import { routes } from '../../../contract';
import type { Rule } from '../../../core/rules/rule';
import { call } from '../../api';
import { Loading } from '../../ui/states';

function Reasons({ id, rule, text }: { id: string; rule: Rule; text: string }) {
  const { data } = useQuery({
    queryKey: ['product', id, 'why', rule],
    queryFn: () => call(routes.goods.why, { params: { id }, body: { rule } }),
  });
  if (!data) return <Loading rows={2} />;
  return (
    <ul className="flex flex-col gap-1">
      {text && <li>Found by the words “{text}”.</li>}
      {data.reasons.map(({ words, holds, actual, isTurned }, i) => {
        const counts = holds !== isTurned;
        return (
          <li key={i} className="flex gap-2">
            {counts ? (
              <Check size={14} className="mt-0.5 shrink-0 text-petrol" aria-label="holds" />
            ) : (
              <X size={14} className="mt-0.5 shrink-0 text-rose" aria-label="does not hold" />
            )}
            <span>
              {isTurned && 'not: '}
              {words}
              {actual && <span className="text-ink-2"> – it is {actual}</span>}
            </span>
          </li>
        );
      })}
    </ul>
  );
}

/** Says why a product is among the goods that are shown. */
export function WhyListed({ id, title, rule, text }: { id: string; title: string; rule: Rule; text: string }) {
  return (
    <Popover className="shrink-0">
      <PopoverButton
        aria-label={`Why ${title} is here`}
        className="rounded px-1 text-xs text-petrol underline decoration-dotted underline-offset-2 hover:text-ink"
      >
        why
      </PopoverButton>
      <PopoverPanel anchor={{ to: 'bottom start', gap: 4 }} className="sheet z-40 w-72 p-3 shadow-xl">
        <Reasons id={id} rule={rule} text={text} />
      </PopoverPanel>
    </Popover>
  );
}
