import { useState } from 'react';
import { usualVisits, type VisitModel } from '../../../../core/model/visit-model';
import { CallError, wordsOf } from '../../../data/api';
import { useSetVisitModel } from '../../../data/exposure';
import { Button } from '../../../shared/ui/button';
import { Dialog } from '../../../shared/ui/dialog';
import { TextField } from '../../../shared/ui/field';

const beginnings: [keyof VisitModel, string][] = [
  ['home', 'Home page'],
  ['listing', 'A category or another group'],
  ['product', 'The page of a product'],
  ['search', 'A search'],
];
const habits: [keyof VisitModel, string][] = [
  ['leave', 'leave at each page'],
  ['row', 'of those who see a row see the one below it'],
  ['aside', 'see each next card past the edge of a row that scrolls'],
];

/** Says how exposure is worked out, and lets its numbers be changed. */
export function ModelDialog({ model, close }: { model: VisitModel; close: () => void }) {
  const [typed, setTyped] = useState(
    () =>
      Object.fromEntries(Object.entries(model).map(([key, value]) => [key, String(value)])) as Record<string, string>,
  );
  const { mutate, error, isPending } = useSetVisitModel();
  const errorAt = (key: string) =>
    error instanceof CallError ? error.errors.find(({ path }) => path[0] === key)?.message : undefined;
  const field = ([key, label]: [keyof VisitModel, string]) => (
    <div key={key} className="flex items-start gap-2">
      <span className="w-20 shrink-0">
        <TextField
          label={`${label}, percent`}
          hideLabel
          inputMode="numeric"
          value={typed[key]}
          error={errorAt(key)}
          onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
          className="text-right"
        />
      </span>
      <span className="pt-2">% {label}</span>
    </div>
  );
  const sum = beginnings.reduce((all, [key]) => all + (Number(typed[key]) || 0), 0);
  return (
    <Dialog title="How exposure is worked out" isOpen close={close} isForm width="max-w-2xl">
      <p className="text-ink-2">
        Nobody is counted yet, so Dispona works out what visits would see. A visitor comes in somewhere, sees each card
        with a chance that falls from row to row, then follows one of the links in proportion to how well it is seen
        (menus, sections, cards, “goes with”), or leaves. The exposure of a product is the chance that one visit sees it
        at least once, on a card or on its own page.
      </p>
      <form
        className="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          const wanted = Object.fromEntries(
            Object.entries(typed).map(([key, value]) => [
              key,
              value.trim() === '' ? NaN : Number(value.replace(',', '.')),
            ]),
          );
          mutate(wanted as VisitModel, { onSuccess: close });
        }}
      >
        <fieldset className="flex flex-col gap-1.5">
          <legend className="mb-1.5 font-semibold">Where visits begin</legend>
          {beginnings.map(field)}
          <p className={sum === 100 ? 'text-ink-2' : 'text-rose-ink'}>Together {sum} %</p>
        </fieldset>
        <fieldset className="flex flex-col gap-1.5">
          <legend className="mb-1.5 font-semibold">What visitors do</legend>
          {habits.map(field)}
        </fieldset>
        {error && !(error instanceof CallError && error.errors.length > 0) && (
          <p role="alert" className="text-rose-ink md:col-span-2">
            {wordsOf(error)}
          </p>
        )}
        <div className="flex gap-2 md:col-span-2">
          <Button type="submit" look="main" disabled={isPending}>
            Use these numbers
          </Button>
          <Button
            look="bare"
            onClick={() =>
              setTyped(Object.fromEntries(Object.entries(usualVisits).map(([key, value]) => [key, String(value)])))
            }
          >
            Back to the usual ones
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
