import { ChevronDown } from 'lucide-react';
import { useId, useRef, useState, type KeyboardEvent } from 'react';
import type { MenuItemView } from '../../core/storefront/menu-view';
import { useHref } from '../base';
import { Picture } from '../ui/picture';
import { say } from '../tongue';

interface Props {
  items: readonly MenuItemView[];
  /** address of the page, to mark where the shopper is */
  here: string;
}

const isHere = (url: string | null, here: string) => url !== null && (here === url || here.startsWith(`${url}?`));

const Item = ({ item, here, className }: { item: MenuItemView; here: string; className: string }) => {
  const href = useHref();
  if (item.url === null) return <span className={`${className} font-semibold`}>{item.label}</span>;
  return (
    <a href={href(item.url)} aria-current={isHere(item.url, here) ? 'page' : undefined} className={className}>
      {item.label}
    </a>
  );
};

/** What stands below an item on a wide screen: one list, or a column for each that has something below itself. */
function DropDown({
  id,
  item,
  here,
  isLate,
  isOpen,
}: {
  id: string;
  item: MenuItemView;
  here: string;
  isLate: boolean;
  isOpen: boolean;
}) {
  const isDeep = item.items.some(({ items }) => items.length > 0);
  const line = 'block rounded-xl px-3 py-2 text-sm text-ink hover:bg-mist aria-[current]:bg-mist';
  return (
    <div
      id={id}
      // Without script it comes out under the pointer; the page of the item leads further too.
      className={`${isLate ? 'right-0' : 'left-0'} ${isOpen ? 'flex' : 'hidden group-hover:flex'} absolute top-full z-30 gap-4 rounded-2xl border border-line bg-paper p-2 shadow-large`}
    >
      <ul className={isDeep ? 'flex gap-2' : 'min-w-52'}>
        {item.items.map((sub, i) => (
          <li key={i} className={isDeep ? 'min-w-40' : ''}>
            <Item item={sub} here={here} className={`${line} ${isDeep ? 'font-semibold' : ''}`} />
            {sub.items.length > 0 && (
              <ul>
                {sub.items.map((third, j) => (
                  <li key={j}>
                    <Item item={third} here={here} className={line} />
                  </li>
                ))}
              </ul>
            )}
          </li>
        ))}
      </ul>
      {item.picture && (
        <div className="w-52 shrink-0 overflow-hidden rounded-xl">
          <Picture picture={item.picture} sizes="208px" widest={208} className="!aspect-auto h-full" />
        </div>
      )}
    </div>
  );
}

/** The menu beside the name of the shop: what stands below an item comes out by pointer, by touch and by keys. */
export function WideMenu({ items, here }: Props) {
  const [open, setOpen] = useState<number | null>(null);
  /** the item that a mouse is over: it has come out already, and a click of that mouse is not meant to put it away */
  const under = useRef<number | null>(null);
  const id = useId();
  const keys = (event: KeyboardEvent<HTMLElement>) => {
    if (event.key !== 'Escape' || open === null) return;
    event.currentTarget.querySelector<HTMLElement>('[aria-expanded=true]')?.focus();
    setOpen(null);
  };
  return (
    // Escape belongs to the whole list, wherever in it the focus is.
    <ul className="flex flex-wrap items-center gap-1" onKeyDown={keys}>
      {items.map((item, i) => (
        <li
          key={i}
          className="group relative flex items-center"
          onPointerEnter={({ pointerType }) => {
            if (pointerType !== 'mouse' || item.items.length === 0) return;
            under.current = i;
            setOpen(i);
          }}
          onPointerLeave={({ pointerType }) => {
            if (pointerType !== 'mouse') return;
            under.current = null;
            setOpen(null);
          }}
          onBlur={({ currentTarget, relatedTarget }) => !currentTarget.contains(relatedTarget) && setOpen(null)}
        >
          <Item
            item={item}
            here={here}
            className={`block whitespace-nowrap rounded-button py-2 pl-3 text-sm font-medium text-ink hover:bg-mist aria-[current]:bg-mist ${item.items.length > 0 ? 'pr-1' : 'pr-3'}`}
          />
          {item.items.length > 0 && (
            <>
              <button
                type="button"
                aria-label={say('frame.belowItem', { name: item.label })}
                aria-expanded={open === i}
                aria-controls={`${id}-${i}`}
                // A key that presses a button counts no clicks.
                onClick={({ detail }) => setOpen(open === i && (detail === 0 || under.current !== i) ? null : i)}
                className="flex h-9 w-6 items-center justify-center rounded-full text-ink-soft hover:bg-mist hover:text-ink"
              >
                <ChevronDown size={14} aria-hidden="true" />
              </button>
              <DropDown id={`${id}-${i}`} item={item} here={here} isLate={i >= items.length / 2} isOpen={open === i} />
            </>
          )}
        </li>
      ))}
    </ul>
  );
}

/** The menu of a phone: everything in one list, what stands below something unfolds. */
export const PhoneMenu = ({ items, here }: Props) => (
  <ul className="divide-y divide-line">
    {items.map((item, i) => (
      <li key={i}>
        {item.items.length === 0 ? (
          <Item item={item} here={here} className="block py-3 font-medium text-ink" />
        ) : (
          <details className="group">
            <summary className="flex cursor-pointer list-none items-center justify-between py-3 font-medium text-ink">
              {item.label}
              <span
                aria-hidden="true"
                className="text-xl leading-none transition group-open:rotate-45 motion-reduce:transition-none"
              >
                +
              </span>
            </summary>
            <div className="pb-2 pl-4">
              {item.url !== null && (
                <Item item={{ ...item, items: [] }} here={here} className="block py-2.5 text-ink" />
              )}
              <ul>
                {item.items.map((sub, j) => (
                  <li key={j}>
                    <Item item={sub} here={here} className="block py-2.5 text-ink" />
                    {sub.items.length > 0 && (
                      <ul className="pl-4">
                        {sub.items.map((third, k) => (
                          <li key={k}>
                            <Item item={third} here={here} className="block py-2.5 text-ink-soft" />
                          </li>
                        ))}
                      </ul>
                    )}
                  </li>
                ))}
              </ul>
            </div>
          </details>
        )}
      </li>
    ))}
  </ul>
);
