import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useSettings } from '../../../data/shopfront';
import { useWhyFound, type WhyFoundAnswer } from '../../../data/why-found';
import { TextField } from '../../../shared/ui/field';
import { Empty, Failed, Loading } from '../../../shared/ui/states';
import { Thumb } from '../../../shared/ui/thumb';
import { SynonymsField } from './synonyms-field';

/** So many of the things that a word may be about are named. */
const MEANT_SHOWN = 3;

type Found = WhyFoundAnswer['goods'][number];

/** How the words of a search were read. */
function HowRead({ read, total, full }: Pick<WhyFoundAnswer, 'read' | 'total' | 'full'>) {
  return (
    <div className="mb-4">
      <ul className="flex flex-wrap gap-2" aria-label="How it is read">
        {read.map(({ typed, meant, others, isDropped }) => (
          <li key={typed} className="max-w-72 rounded-lg bg-sunk px-3 py-2">
            <p className="font-semibold">
              {isDropped ? <s>{typed}</s> : typed}
              {isDropped && (
                <span className="ml-2 font-normal text-ink-2">ignored: nothing matches it together with the rest</span>
              )}
            </p>
            {meant.length > 0 && (
              <p className="text-xs text-ink-2">
                also what is {meant.slice(0, MEANT_SHOWN).join(', ')}
                {meant.length > MEANT_SHOWN && `, and ${meant.length - MEANT_SHOWN} more`}
              </p>
            )}
            {others.length > 0 && <p className="text-xs text-ink-2">means the same: {others.join(', ')}</p>}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-ink-2">
        {total === 1 ? 'One product is found' : `${total} products are found`}
        {full < total && `, ${full} of them with all of it; the others come close`}.
      </p>
    </div>
  );
}

function Reasons({ found }: { found: Found }) {
  return (
    <ul className="text-xs text-ink-2">
      {found.parts.map(({ typed, points, because }) => (
        <li key={typed}>
          <span className="font-semibold text-ink">{typed}:</span>{' '}
          {points === 0 ? 'not found' : `${because}, ${points}`}
        </li>
      ))}
      {found.titlePoints > 0 && <li>the title fits the search, {found.titlePoints}</li>}
      {found.isLast && <li>sold out, so it stands last</li>}
    </ul>
  );
}

/** Searches as a shopper would, and tells why each product is where it is. What shoppers call things is typed beside. */
export function SearchPage() {
  const [params, setParams] = useSearchParams();
  const [typed, setTyped] = useState(params.get('q') ?? '');
  const { data: settings } = useSettings();
  const { data, error, refetch, isPlaceholderData } = useWhyFound(typed);
  const isAsked = typed.trim() !== '';
  return (
    <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <div className="min-h-0 min-w-0 flex-1 p-4 lg:overflow-y-auto">
        <TextField
          label="Search as a shopper would"
          type="search"
          value={typed}
          maxLength={400}
          className="max-w-md"
          onChange={({ target }) => {
            setTyped(target.value);
            setParams(target.value.trim() === '' ? { view: 'search' } : { view: 'search', q: target.value }, {
              replace: true,
            });
          }}
        />
        <div className="mt-4" aria-busy={isPlaceholderData}>
          {!isAsked ? (
            <Empty title="What do shoppers type?">
              Try it here: you see what your shop finds in the working copy, in which order, and why.
            </Empty>
          ) : error && !data ? (
            <Failed error={error} retry={() => void refetch()} />
          ) : !data ? (
            <Loading rows={5} />
          ) : (
            <>
              <HowRead {...data} />
              {data.goods.length === 0 && (
                <Empty title="Nothing found">
                  If shoppers call something of yours this, add it to the words that mean the same.
                </Empty>
              )}
              <ol className="sheet max-w-3xl divide-y divide-hair px-4">
                {data.goods.map((found, i) => (
                  <li key={found.id} className="flex items-start gap-3 py-2.5">
                    <span className="w-5 pt-2 text-right tabular-nums text-ink-2">{i + 1}</span>
                    <Thumb src={found.thumbnail} />
                    <div className="min-w-0 flex-1">
                      <Link to={`/goods/${found.id}`} className="break-words font-semibold hover:underline">
                        {found.title}
                      </Link>
                      <Reasons found={found} />
                    </div>
                    <span className="pt-2 tabular-nums text-ink-2">{found.points}</span>
                  </li>
                ))}
              </ol>
              {data.goods.length > 1 && (
                <p className="mt-3 max-w-3xl text-xs text-ink-2">
                  The number at the right is how well it fits. Of goods that fit alike, featured ones come first, then
                  what sold more in 90 days, then what is in stock, then the newest.
                </p>
              )}
            </>
          )}
        </div>
      </div>
      <aside
        aria-label="Words of shoppers"
        className="w-80 shrink-0 border-l border-line p-4 max-lg:w-full lg:overflow-y-auto"
      >
        {settings ? <SynonymsField settings={settings} /> : <Loading rows={3} />}
      </aside>
    </div>
  );
}
