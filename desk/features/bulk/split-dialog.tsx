import { useState } from 'react';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import { call } from '../../data/api';
import { tray } from '../../shared/tray-store';
import { useProduct } from '../../data/goods';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { Loading } from '../../shared/ui/states';
import { tellRefused } from '../../data/tell-refused';
import { useOneAtATime } from '../../shared/ui/use-one-at-a-time';

/** One product becomes several, one for each value of an option. */
export function SplitDialog({ id, close }: { id: string; close: () => void }) {
  const { data } = useProduct(id);
  const [chosen, setChosen] = useState<string>();
  const [split, isSplitting] = useOneAtATime((title: string) =>
    call(routes.bulk.split, { params: { id }, body: { optionId: chosen! } })
      .then(({ ids }) => {
        tray.freeze(ids);
        toast(`“${title}” is ${ids.length} products now`, { description: 'Ctrl + Z takes it back.' });
        close();
      })
      .catch(tellRefused),
  );
  if (!data) return <Loading rows={2} />;
  const { title, options, variants } = data.product;
  const at = options.findIndex((option) => option.id === chosen);
  return (
    <Dialog title={`Split “${title}”`} isOpen close={close}>
      {options.length === 0 ? (
        <p className="text-ink-2">It has no options to be split by.</p>
      ) : (
        <fieldset>
          <legend className="mb-1.5 text-ink-2">One product for each value of</legend>
          {options.map((option) => (
            <label key={option.id} className="flex items-center gap-2 py-1">
              <input
                type="radio"
                name="option"
                checked={chosen === option.id}
                onChange={() => setChosen(option.id)}
                className="size-4 accent-petrol"
              />
              <strong>{option.name}</strong>
              <span className="truncate text-ink-2">{option.values.map(({ name }) => name).join(', ')}</span>
            </label>
          ))}
        </fieldset>
      )}
      {at >= 0 && (
        <ul className="mt-3 rounded-lg bg-sunk/50 px-3 py-1.5" aria-label="What it becomes">
          {options[at]!.values.map((value, i) => (
            <li key={value.id} className="flex justify-between gap-3 py-0.5">
              <span className="truncate">
                {title}, {value.name}
                {i === 0 && <span className="text-ink-2"> – stays where it is</span>}
              </span>
              <span className="shrink-0 text-ink-2">
                {variants.filter(({ values }) => values[at] === value.id).length} variants
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={close}>Cancel</Button>
        <Button
          look="main"
          disabled={at < 0 || options[at]!.values.length < 2 || isSplitting}
          onClick={() => split(title)}
        >
          Split it
        </Button>
      </div>
    </Dialog>
  );
}
