import { Dialog } from '../ui/dialog';
import type { Shortcut } from './keyboard';

const inLists = [
  { keys: '↑ ↓', words: 'move along a list' },
  { keys: 'Enter', words: 'open what the cursor is on' },
  { keys: 'Space or T', words: 'put it in the tray, or take it out' },
  { keys: 'Shift + ↑ ↓', words: 'put several in the tray' },
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
    <Dialog title="Keys" isOpen={isOpen} close={close}>
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
    </Dialog>
  );
}
