import { useState } from 'react';
import { Link as To } from 'react-router';
import { useEngineWrites, type SearchConflict } from '../../../data/engines';
import { useForwardWrites } from '../../../data/searched';
import { addressOf } from '../../../shared/thing-addresses';
import { Button } from '../../../shared/ui/button';
import { count } from '../../../shared/ui/count';
import { tellRefused } from '../../../data/tell-refused';

const conflictWords: Readonly<Record<SearchConflict['sort'], string>> = {
  redirected: 'Shown, yet forwarded',
  hiddenInMenu: 'Kept away, yet in a menu',
  canonicalHidden: 'Narrows what is kept away',
  sameTitle: 'Two pages of one title',
  noGoods: 'Chosen, with no goods',
  shortText: 'Too little text',
  untold: 'Not told in a language',
};

function Mend({ conflict: { sort, kind, id, mend, url } }: { conflict: SearchConflict }) {
  const { noindex, drop } = useEngineWrites();
  const forwards = useForwardWrites();
  const isThing = kind !== 'chosenListing' && kind !== 'forward';
  const path = isThing ? addressOf({ kind, key: id }) : undefined;
  return (
    <span className="flex shrink-0 gap-1">
      {mend === 'index' && isThing && (
        <Button onClick={() => noindex.mutate({ kind, id, noindex: false }, { onError: tellRefused })}>
          Let it be shown
        </Button>
      )}
      {mend === 'noindex' && isThing && (
        <Button look="bare" onClick={() => noindex.mutate({ kind, id, noindex: true }, { onError: tellRefused })}>
          Keep it away
        </Button>
      )}
      {mend === 'dropForward' && (
        <Button onClick={() => forwards.drop.mutate(id, { onError: tellRefused })}>Delete the forward</Button>
      )}
      {mend === 'dropChosen' && (
        <Button onClick={() => drop.mutate(id, { onError: tellRefused })}>No longer choose it</Button>
      )}
      {sort === 'untold' ? (
        <To
          to={`/words/${url.split('/')[1]!}?at=${kind}/${id}`}
          className="rounded-lg px-2 py-1 font-medium text-ink-2 hover:bg-sunk"
        >
          Translate
        </To>
      ) : (
        path && (
          <To to={path} className="rounded-lg px-2 py-1 font-medium text-ink-2 hover:bg-sunk">
            Open
          </To>
        )
      )}
    </span>
  );
}

const FEW = 6;

/** What search engines are told that contradicts itself, or helps nobody, each with its mend. */
export function Conflicts({ conflicts }: { conflicts: readonly SearchConflict[] }) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const sorts = Object.keys(conflictWords) as SearchConflict['sort'][];
  return (
    <section aria-label="What does not go together" className="sheet mb-4 max-w-5xl p-4">
      <h2 className="font-display text-lg font-bold">What does not go together</h2>
      {conflicts.length === 0 && <p className="text-ink-2">Nothing. Search engines are told one thing only.</p>}
      {sorts.map((sort) => {
        const all = conflicts.filter((conflict) => conflict.sort === sort);
        if (all.length === 0) return null;
        const shown = open.has(sort) ? all : all.slice(0, FEW);
        return (
          <div key={sort} className="mt-3">
            <h3 className="font-semibold">
              {conflictWords[sort]}{' '}
              <span className="text-xs font-normal tabular-nums text-ink-2">{count(all.length)}</span>
            </h3>
            <ul className="divide-y divide-hair">
              {shown.map((conflict) => (
                <li
                  key={`${conflict.kind} ${conflict.id} ${conflict.url}`}
                  className="flex flex-wrap items-center gap-x-3 py-1"
                >
                  <span className="min-w-0 flex-1 break-words">
                    {conflict.name} <span className="text-xs text-ink-2">{conflict.url}</span>
                    <span className="block text-xs text-ink-2">{conflict.words}</span>
                  </span>
                  <Mend conflict={conflict} />
                </li>
              ))}
            </ul>
            {shown.length < all.length && (
              <Button look="bare" onClick={() => setOpen(new Set([...open, sort]))}>
                {count(all.length - shown.length)} more
              </Button>
            )}
          </div>
        );
      })}
    </section>
  );
}
