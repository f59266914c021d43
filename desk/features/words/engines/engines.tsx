import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useEngines } from '../../../data/engines';
import { Button } from '../../../shared/ui/button';
import { Empty, Failed, Loading } from '../../../shared/ui/states';
import { ChooseListing } from './choose-listing';
import { Chosen } from './chosen';
import { Conflicts } from './conflicts';
import { Shown } from './shown-pages';

/** What search engines are told of the shop. */
export function Engines() {
  const { data, error } = useEngines();
  const [isChoosing, setChoosing] = useState(false);
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={8} />;
  return (
    <>
      <Conflicts conflicts={data.conflicts} />
      <section aria-label="Chosen listings" className="sheet mb-4 max-w-5xl p-4">
        <div className="flex flex-wrap items-center justify-between gap-2">
          <h2 className="font-display text-lg font-bold">Chosen listings</h2>
          <Button onClick={() => setChoosing(true)}>
            <Plus size={13} aria-hidden="true" /> Choose one
          </Button>
        </div>
        {data.chosen.length === 0 ? (
          <Empty title="None chosen yet">
            Shoppers can narrow a listing in hundreds of ways, and search engines see none of them. Choose the few that
            people search for, such as “red deltas”: each gets its own address, title and text.
          </Empty>
        ) : (
          <ul className="divide-y divide-hair">
            {data.chosen.map((row) => (
              <Chosen key={row.chosen.id} row={row} origin={data.origin} shopName={data.shopName} />
            ))}
          </ul>
        )}
      </section>
      <Shown pages={data.pages} total={data.total} origin={data.origin} />
      {isChoosing && <ChooseListing close={() => setChoosing(false)} />}
    </>
  );
}
