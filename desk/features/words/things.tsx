import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { wordedKinds, type WordedKind } from '../../../core/model/wording';
import { useThings, type TextPlace, type TextState } from '../../data/languages';
import { Pressed } from '../../shared/ui/pressed';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Select } from '../../shared/ui/select';
import { Failed, Loading } from '../../shared/ui/states';
import { kindNames } from './kind-names';
import { openOf, openStates, stateLooks } from './states';

const PAGE = 60;

interface Props {
  locale: string;
  chosen: { kind: WordedKind; id: string } | null;
  states: readonly TextState[];
  go: (to: Partial<TextPlace>) => void;
}

/** What has texts, narrowed by sort, state and name. */
export function Things({ locale, chosen, states, go }: Props) {
  const [params, setParams] = useSearchParams();
  const [q, setQ] = useState('');
  const [offset, setOffset] = useState(0);
  const kind = wordedKinds.find((each) => each === params.get('kind'));
  const { data, error } = useThings(locale, {
    kind,
    states: states.length > 0 ? states : undefined,
    q: q.trim(),
    offset,
  });
  const set = (name: string, value: string) => {
    setOffset(0);
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true },
    );
  };
  const toggle = (state: TextState) =>
    set('states', (states.includes(state) ? states.filter((each) => each !== state) : [...states, state]).join());
  return (
    <aside
      aria-label="What to translate"
      className="flex w-72 shrink-0 flex-col border-r border-line max-md:max-h-56 max-md:w-full"
    >
      <div className="flex flex-col gap-2 border-b border-hair p-3">
        <div className="flex gap-2">
          <Select
            label="Sort of thing"
            value={kind ?? ''}
            choices={[
              { value: '', label: 'Everything' },
              ...wordedKinds.map((each) => ({ value: each, label: kindNames[each] })),
            ]}
            choose={(value) => set('kind', value)}
            className="min-w-0 flex-1"
          />
          <input
            type="search"
            aria-label="Find by name"
            placeholder="Find"
            value={q}
            onChange={(event) => {
              setQ(event.target.value);
              setOffset(0);
            }}
            className="field w-24 min-w-0"
          />
        </div>
        <div role="group" aria-label="State" className="flex flex-wrap gap-1">
          {[...openStates, 'done' as const].map((state) => (
            <Pressed key={state} isOn={states.includes(state)} choose={() => toggle(state)} isSmall>
              {stateLooks[state].words}
            </Pressed>
          ))}
        </div>
      </div>
      {error && <Failed error={error} />}
      {!data && !error && <Loading rows={8} />}
      {data && (
        <ul className="min-h-0 flex-1 overflow-y-auto py-1">
          {data.things.length === 0 && <li className="px-4 py-6 text-ink-2">Nothing here is in that state.</li>}
          {data.things.map((thing) => {
            const open = openOf(thing.counts);
            const isChosen = chosen?.kind === thing.kind && chosen.id === thing.id;
            return (
              <li key={`${thing.kind}/${thing.id}`}>
                <button
                  type="button"
                  aria-current={isChosen || undefined}
                  onClick={() => go({ kind: thing.kind, id: thing.id })}
                  className="flex w-full items-baseline justify-between gap-2 px-4 py-1.5 text-left hover:bg-sunk aria-[current]:bg-marigold-soft"
                >
                  <span className="min-w-0 truncate">
                    {thing.name}
                    {!kind && <span className="ml-1.5 text-xs text-ink-2">{kindNames[thing.kind].toLowerCase()}</span>}
                  </span>
                  <span className="shrink-0 text-xs tabular-nums text-ink-2">{open > 0 ? count(open) : '✓'}</span>
                </button>
              </li>
            );
          })}
          {data.total > PAGE && (
            <li className="flex items-center justify-between gap-2 px-3 py-2 text-xs text-ink-2">
              <Button look="bare" disabled={offset === 0} onClick={() => setOffset(Math.max(0, offset - PAGE))}>
                Before
              </Button>
              {count(offset + 1)}–{count(Math.min(data.total, offset + PAGE))} of {count(data.total)}
              <Button look="bare" disabled={offset + PAGE >= data.total} onClick={() => setOffset(offset + PAGE)}>
                Next
              </Button>
            </li>
          )}
        </ul>
      )}
    </aside>
  );
}
