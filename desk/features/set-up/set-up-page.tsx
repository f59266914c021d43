import { Check } from 'lucide-react';
import { Link, useOutletContext } from 'react-router';
import type { SetUpKey } from '../../../core/loose-ends/set-up-steps';
import { isSetUp, useSetUp, useSetUpWrites, type SetUpList } from '../../data/set-up';
import { Button } from '../../shared/ui/button';
import { Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { tellRefused } from '../../data/tell-refused';

/** Where each step is done. */
const places: Readonly<Record<SetUpKey, string>> = {
  name: '/shopfront?view=settings',
  product: '/goods',
  picture: '/goods',
  price: '/goods',
  tax: '/shopfront?view=settings',
  delivery: '/shopfront?view=look&part=product',
  selling: '/orders?part=selling',
  category: '/groups',
  menu: '/shopfront?view=menu',
  home: '/shopfront',
  look: '/shopfront?view=look',
  legal: '/shopfront?view=settings&part=legal',
  domain: '/shopfront?view=settings&part=domain',
  live: '/review',
  open: '/shopfront?view=settings&part=opening',
};

type Step = SetUpList['steps'][number];

const mark = 'grid size-6 shrink-0 place-items-center rounded-full';

interface LineProps {
  step: Step;
  number: number;
  isNext: boolean;
  /** where it is done */
  to: string;
}

function StepLine({ step, number, isNext, to }: LineProps) {
  const { skip } = useSetUpWrites();
  const { key, title, why, canSkip, state } = step;
  const leave = (isSkipped: boolean) => skip.mutate({ step: key, isSkipped }, { onError: tellRefused });
  return (
    <li className="flex items-start gap-3 border-b border-hair py-3 last:border-0">
      {state === 'done' ? (
        <span className={`${mark} bg-petrol text-sheet`}>
          <Check size={14} aria-label="done" />
        </span>
      ) : (
        <span className={`${mark} border border-ink-3 tabular-nums text-ink-2`}>{number}</span>
      )}
      <span className="min-w-0 flex-1">
        <Link to={to} className={state === 'open' ? 'font-semibold hover:underline' : 'text-ink-2 hover:underline'}>
          {title}
        </Link>
        {state === 'open' && <span className="block text-ink-2">{why}</span>}
        {state === 'skipped' && <span className="block text-xs text-ink-2">left as it is</span>}
      </span>
      {state === 'open' && canSkip && (
        <Button look="bare" onClick={() => leave(true)}>
          Leave it as it is
        </Button>
      )}
      {state === 'skipped' && (
        <Button look="bare" onClick={() => leave(false)}>
          Do it after all
        </Button>
      )}
      {isNext && (
        <Link
          to={to}
          className="shrink-0 rounded-lg bg-slate px-3.5 py-[7px] font-semibold text-sheet hover:brightness-110"
        >
          Do this next
        </Link>
      )}
    </li>
  );
}

/** Goods to look at before there are any of one's own. */
function Examples({ count }: { count: number }) {
  const { addExamples, removeExamples } = useSetUpWrites();
  const { mutate, isPending } = count > 0 ? removeExamples : addExamples;
  return (
    <section aria-labelledby="examples" className="mt-6 rounded-[10px] bg-sunk px-4 py-3">
      <h2 id="examples" className="font-semibold">
        Example products
      </h2>
      <div className="mt-1 flex flex-wrap items-center gap-3">
        <p className="min-w-0 flex-1 text-ink-2">
          {count > 0
            ? `${count === 1 ? 'One example product is' : `${count} example products are`} in the shop. Remove ${count === 1 ? 'it' : 'them'} before you open.`
            : 'A few kites with pictures, to try pages and looks on. They go again in one step.'}
        </p>
        <Button disabled={isPending} onClick={() => mutate(undefined, { onError: tellRefused })}>
          {count > 0 ? 'Remove them' : 'Load examples'}
        </Button>
      </div>
    </section>
  );
}

/** What leads from nothing to an open shop, worked out from what is there. */
export function SetUpPage() {
  useTitle('Set-up');
  const { data, error, refetch } = useSetUp();
  const frame = useOutletContext<{ showHelp: () => void } | undefined>();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={8} />;
  const { steps, examples, firstProduct } = data;
  const left = steps.filter(({ state }) => state === 'open').length;
  const next = steps.find(({ state }) => state === 'open');
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-5">
      <div className="max-w-2xl">
        <h1 className="font-display text-2xl font-bold">
          {isSetUp(data) ? 'Your shop is open' : 'From nothing to an open shop'}
        </h1>
        <p className="mb-4 mt-0.5 text-ink-2">
          {isSetUp(data)
            ? 'Everything on this list is done. It stays here in case something is undone.'
            : `${steps.length - left} of ${steps.length} done. The order is the one that usually works; go about it as you like.`}
        </p>
        {!isSetUp(data) && frame && (
          <p className="mb-4">
            <Button onClick={frame.showHelp}>Help, and a tour of three minutes</Button>
          </p>
        )}
        <ol className="sheet px-4">
          {steps.map((step, i) => (
            <StepLine
              key={step.key}
              step={step}
              number={i + 1}
              isNext={step === next}
              to={
                firstProduct !== null && (step.key === 'picture' || step.key === 'price')
                  ? `/goods/${firstProduct}`
                  : places[step.key]
              }
            />
          ))}
        </ol>
        {(!isSetUp(data) || examples > 0) && <Examples count={examples} />}
      </div>
    </div>
  );
}
