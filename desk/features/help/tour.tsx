import { Check, X } from 'lucide-react';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useShopState } from '../../data/help';
import { Button } from '../../shared/ui/button';
import { pointAt } from './point-at';
import { tourStore, type Tour as TourState } from './tour-store';
import { nextStep, tourSteps } from './tour-steps';

/** The first tour: a card that stays while one works, and goes on when the shop shows that a step is done. */
export default function Tour({ tour }: { tour: TourState }) {
  const navigate = useNavigate();
  const { data } = useShopState(true);
  const done = new Set(tour.done);
  const at = data ? nextStep(data, tour.before, done) : 0;
  const step = tourSteps[at];
  // What was done stays done, also when it is undone later.
  useEffect(() => {
    const known = new Set(tour.done);
    const fresh = tourSteps.slice(0, at).filter(({ key }) => !known.has(key));
    if (fresh.length > 0) tourStore.set({ ...tour, done: [...tour.done, ...fresh.map(({ key }) => key)] });
  }, [tour, at]);
  useEffect(() => (step ? undefined : pointAt('Review')), [step]);
  if (!data) return null;
  const skip = (key: string) => tourStore.set({ ...tour, done: [...tour.done, key] });
  const end = () => tourStore.set(null);
  const go = () => {
    void navigate(step!.at(data));
    pointAt(step!.points);
  };
  return (
    <aside
      aria-label="First tour"
      className="sheet fixed bottom-4 left-4 z-40 w-80 max-w-[calc(100vw-2rem)] p-4 shadow-2xl ring-2 ring-marigold"
    >
      <div className="flex items-center gap-2">
        <ol
          className="flex flex-1 gap-1"
          aria-label={`Step ${Math.min(at + 1, tourSteps.length)} of ${tourSteps.length}`}
        >
          {tourSteps.map(({ key }, i) => (
            <li
              key={key}
              className={`h-1.5 flex-1 rounded-full ${i < at ? 'bg-petrol' : i === at ? 'bg-marigold' : 'bg-line'}`}
            />
          ))}
        </ol>
        <button
          type="button"
          aria-label="End the tour"
          onClick={end}
          className="grid size-7 place-items-center text-ink-2"
        >
          <X size={15} aria-hidden="true" />
        </button>
      </div>
      <div role="status">
        {step ? (
          <>
            <h2 className="mt-1 font-display text-base font-bold">{step.title}</h2>
            <p className="mt-1 text-ink-2">{step.words(data)}</p>
          </>
        ) : (
          <>
            <h2 className="mt-1 flex items-center gap-2 font-display text-base font-bold">
              <Check size={16} className="text-petrol" aria-hidden="true" /> That is the whole way
            </h2>
            <p className="mt-1 text-ink-2">
              A product, from nothing to the live shop. All of it can be taken back in the history. The key ? explains
              each desk.
            </p>
          </>
        )}
      </div>
      <div className="mt-3 flex justify-end gap-2">
        {step ? (
          <>
            <Button look="bare" onClick={() => skip(step.key)}>
              Skip this step
            </Button>
            <Button look="main" onClick={go}>
              Take me there
            </Button>
          </>
        ) : (
          <Button look="main" onClick={end}>
            Done
          </Button>
        )}
      </div>
    </aside>
  );
}
