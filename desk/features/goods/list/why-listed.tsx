import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useQuery } from '@tanstack/react-query';
import { routes } from '../../../../contract';
import type { Rule } from '../../../../core/model/rule';
import { call } from '../../../data/api';
import { Reasons } from '../../../shared/ui/reasons';
import { Loading } from '../../../shared/ui/states';

function WhyOf({ id, rule, text }: { id: string; rule: Rule; text: string }) {
  const { data } = useQuery({
    queryKey: ['product', id, 'why', rule],
    queryFn: () => call(routes.goods.why, { params: { id }, body: { rule } }),
  });
  if (!data) return <Loading rows={2} />;
  return (
    <>
      {text && <p className="mb-1">Found by the words “{text}”.</p>}
      <Reasons reasons={data.reasons} />
    </>
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
        <WhyOf id={id} rule={rule} text={text} />
      </PopoverPanel>
    </Popover>
  );
}
