import { Dialog } from '../../shared/ui/dialog';
import type { Shortcut } from '../../shared/keyboard';

const inLists = [
  { keys: '↑ ↓', words: 'move along a list' },
  { keys: 'Enter', words: 'open what the cursor is on' },
  { keys: 'Space or T', words: 'put it in the tray, or take it out' },
  { keys: 'Shift + ↑ ↓', words: 'put several in the tray' },
  { keys: 'E P S L', words: 'change title, price, stock or standing of a row' },
];

/** Conditions as they can be typed where goods are searched for: what rules say in words is understood. */
const typed = [
  { typed: 'delta, price below 50', words: 'search, and narrow after a comma' },
  { typed: 'brand is not Norrwind', words: 'one of several: “is A or B”' },
  { typed: 'stock between 1 and 5', words: 'also under, over, at most, from, <, >' },
  { typed: 'cost is not set', words: 'whether there is a value at all' },
  { typed: 'on sale and not featured', words: 'what holds or does not' },
  { typed: 'added in the last 30 days', words: 'days' },
  { typed: 'tag is indoor or (on sale, stock above 9)', words: 'groups' },
  { typed: 'one variant has (colour is red and size is L)', words: 'on one and the same variant' },
];

const shown = (keys: string) =>
  keys.replace(/mod/g, 'Ctrl/Cmd').replace(/shift/g, 'Shift').replace(/\+/g, ' + ').toUpperCase();

export function ShortcutList({
  shortcuts,
  isOpen,
  close,
}: {
  shortcuts: readonly Shortcut[];
  isOpen: boolean;
  close: () => void;
}) {
  return (
    <Dialog title="Keys, and conditions to type" isOpen={isOpen} close={close} width="max-w-3xl">
      <div className="grid gap-6 md:grid-cols-2">
        <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
          {[...shortcuts, ...inLists].map(({ keys, words }) => (
            <div key={keys} className="contents">
              <dt>
                <kbd className="rounded border border-line bg-paper px-1.5 py-0.5 text-xs">{shown(keys)}</kbd>
              </dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
        <div>
          <p className="mb-2 text-ink-2">
            The find field of the goods takes words to search for, and conditions in the words in which rules are told.
            Tab completes, Enter keeps a condition.
          </p>
          <dl>
            {typed.map(({ typed: example, words }) => (
              <div key={example} className="mb-2">
                <dt className="font-semibold">{example}</dt>
                <dd className="text-ink-2">{words}</dd>
              </div>
            ))}
          </dl>
        </div>
      </div>
    </Dialog>
  );
}
