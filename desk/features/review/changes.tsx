import { Undo2 } from 'lucide-react';
import { useRef, useState, type KeyboardEvent } from 'react';
import { changeGroups, partsOfChange, type ChangeGroup } from '../../../core/publishing/change-groups';
import type { FieldChange } from '../../../core/publishing/changes';
import { useEditionWrites, type Review, type ReviewedChange } from '../../data/review';
import { Button } from '../../shared/ui/button';
import { Pressed } from '../../shared/ui/pressed';
import { takesText } from '../../shared/autosave/cursor';
import { ChangeRow, Sheet } from './change-row';
import { Places } from './places';

/** Each group with what is told there, in the order of their weight; those with nothing left out. */
export function grouped<C extends Omit<ReviewedChange, 'held' | 'follows'>>(changes: readonly C[]) {
  const groups = new Map<ChangeGroup, { change: C; fields: FieldChange[] }[]>();
  for (const change of changes)
    for (const { group, fields } of partsOfChange(change))
      groups.set(group, [...(groups.get(group) ?? []), { change, fields }]);
  return (Object.keys(changeGroups) as ChangeGroup[]).flatMap((group) => {
    const rows = groups.get(group);
    return rows ? [{ group, rows }] : [];
  });
}

type Shown = ChangeGroup | 'all' | 'held' | 'places';

/** The rows of a list by up and down; what is chosen is opened, held back or taken back by a key. */
function useRowKeys(act: (ref: string, key: 'hold' | 'back') => void) {
  const list = useRef<HTMLDivElement>(null);
  const onKeyDown = (event: KeyboardEvent) => {
    if (takesText(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
    const rows = [...(list.current?.querySelectorAll<HTMLElement>('[data-change]') ?? [])];
    const at = rows.findIndex((row) => row.contains(document.activeElement));
    const row = rows[at];
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step) rows[Math.max(0, Math.min(rows.length - 1, at + step))]?.focus();
    else if (event.key === 'Enter' && row === event.target) row.querySelector<HTMLElement>('[data-opens]')?.click();
    else if (event.key === 'b' && row) act(row.dataset.change!, 'hold');
    else if (event.key === 'Backspace' && row) act(row.dataset.change!, 'back');
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return { list, onKeyDown };
}

/** What shoppers will notice, grouped by what it does to the shop; each can be held back, or taken back alone. */
export function Changes({ changes, places }: Pick<Review, 'changes' | 'places'>) {
  const [shown, setShown] = useState<Shown>('all');
  const { hold, takeBack } = useEditionWrites();
  const heldBack = changes.filter(({ held }) => held !== null);
  const all = grouped(shown === 'held' ? heldBack : changes);
  const act = (ref: string, what: 'hold' | 'back') => {
    const change = changes.find(({ kind, key }) => `${kind}:${key}` === ref);
    if (!change || change.follows) return;
    const { kind, key, held } = change;
    if (what === 'back') {
      if (change.what !== 'new') takeBack.mutate({ kind, key });
    } else if (held === null || held.by === 'hand') hold.mutate({ changes: [{ kind, key }], held: held === null });
  };
  const { list, onKeyDown } = useRowKeys(act);
  const filters: { key: Shown; words: string; count: number }[] = [
    ...grouped(changes).map(({ group, rows }) => ({ key: group, words: changeGroups[group], count: rows.length })),
    ...(places.length > 0 ? [{ key: 'places' as const, words: 'Who appears where', count: places.length }] : []),
    ...(heldBack.length > 0 ? [{ key: 'held' as const, words: 'Held back', count: heldBack.length }] : []),
  ];
  const isShown = (group: Shown) => shown === 'all' || shown === 'held' || shown === group;
  return (
    <div className="flex flex-col gap-3">
      {filters.length > 1 && (
        <div role="group" aria-label="What is shown" className="flex flex-wrap items-center gap-1.5">
          <Pressed isOn={shown === 'all'} choose={() => setShown('all')}>
            All
          </Pressed>
          {filters.map(({ key, words, count }) => (
            <Pressed key={key} isOn={shown === key} choose={() => setShown(shown === key ? 'all' : key)}>
              {words} {count}
            </Pressed>
          ))}
          <span className="ml-auto text-xs text-ink-2 max-md:hidden">
            ↑ ↓ go through, Enter opens, B holds back, Backspace takes back
          </span>
        </div>
      )}
      {/* eslint-disable-next-line jsx-a11y/no-static-element-interactions -- each row is reached and has buttons of its own; the keys are a shorter way */}
      <div ref={list} onKeyDown={onKeyDown} className="flex flex-col gap-3">
        {all
          .filter(({ group }) => isShown(group))
          .map(({ group, rows }) => (
            <Sheet key={group} title={changeGroups[group]} note={String(rows.length)}>
              {rows.map(({ change, fields }) => (
                <ChangeRow key={`${change.kind} ${change.key}`} change={change} fields={fields} held={change.held}>
                  {!change.follows && (change.held === null || change.held.by === 'hand') && (
                    <Button look="bare" onClick={() => act(`${change.kind}:${change.key}`, 'hold')}>
                      {change.held ? 'Let go on' : 'Hold back'}
                    </Button>
                  )}
                  {change.what !== 'new' && !change.follows && (
                    <Button
                      look="bare"
                      aria-label={`Take back “${change.title}”`}
                      title="Take back: the working copy is as live again"
                      onClick={() => act(`${change.kind}:${change.key}`, 'back')}
                    >
                      <Undo2 size={15} aria-hidden="true" />
                    </Button>
                  )}
                </ChangeRow>
              ))}
            </Sheet>
          ))}
        {(shown === 'all' || shown === 'places') && <Places places={places} />}
      </div>
    </div>
  );
}
