import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { ArrowDown, ArrowUp, Copy, Ellipsis, Eye, EyeOff, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { SectionNote, WantedSection } from '../../../data/shopfront';

interface Props {
  section: WantedSection;
  sections: readonly WantedSection[];
  notes: ReadonlyMap<string, SectionNote>;
  otherPages: readonly { id: string; title: string }[];
  change: (section: WantedSection) => void;
  move: (by: number) => void;
  copy: () => void;
  copyTo: (pageId: string) => void;
  lookAs: (other: WantedSection) => void;
  remove: () => void;
}

const icon = 'rounded-md p-1.5 text-ink-2 hover:bg-sunk hover:text-ink disabled:opacity-40';
const item = 'block w-full rounded-md px-2.5 py-1.5 text-left data-focus:bg-marigold-soft';

const Act = ({
  words,
  run,
  isOff,
  children,
}: {
  words: string;
  run: () => void;
  isOff?: boolean;
  children: ReactNode;
}) => (
  <button type="button" title={words} aria-label={words} disabled={isOff} onClick={run} className={icon}>
    {children}
  </button>
);

/** What can be done to a section as a whole. */
export function SectionActs({ section, sections, notes, otherPages, ...acts }: Props) {
  const at = sections.findIndex(({ id }) => id === section.id);
  const others = sections.filter(({ id }) => id !== section.id);
  return (
    <span className="flex items-center">
      <Act words="Move up" run={() => acts.move(-1)} isOff={at <= 0}>
        <ArrowUp size={14} aria-hidden="true" />
      </Act>
      <Act words="Move down" run={() => acts.move(1)} isOff={at === sections.length - 1}>
        <ArrowDown size={14} aria-hidden="true" />
      </Act>
      <Act words="Copy below" run={acts.copy}>
        <Copy size={14} aria-hidden="true" />
      </Act>
      <Act
        words={section.hidden ? 'Show to shoppers' : 'Hide from shoppers'}
        run={() => acts.change({ ...section, hidden: !section.hidden })}
      >
        {section.hidden ? <Eye size={14} aria-hidden="true" /> : <EyeOff size={14} aria-hidden="true" />}
      </Act>
      <Menu>
        <MenuButton title="More" aria-label="More" className={icon}>
          <Ellipsis size={14} aria-hidden="true" />
        </MenuButton>
        <MenuItems
          anchor="bottom end"
          className="z-50 max-h-96 w-60 overflow-y-auto rounded-[10px] border border-line bg-sheet p-1 shadow-lg"
        >
          {others.length > 0 && <p className="px-2.5 pt-1.5 text-xs text-ink-2">Same look as</p>}
          {others.map((other) => (
            <MenuItem key={other.id}>
              <button type="button" className={item} onClick={() => acts.lookAs(other)}>
                {notes.get(other.id)?.name ?? other.kind}
              </button>
            </MenuItem>
          ))}
          {otherPages.length > 0 && <p className="px-2.5 pt-1.5 text-xs text-ink-2">Copy to the page</p>}
          {otherPages.map(({ id, title }) => (
            <MenuItem key={id}>
              <button type="button" className={item} onClick={() => acts.copyTo(id)}>
                {title}
              </button>
            </MenuItem>
          ))}
        </MenuItems>
      </Menu>
      <Act words="Delete this section" run={acts.remove}>
        <Trash2 size={14} aria-hidden="true" />
      </Act>
    </span>
  );
}
