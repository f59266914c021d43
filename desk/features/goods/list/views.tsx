import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { Bookmark, X } from 'lucide-react';
import { useViews, useViewWrites } from '../../../data/goods';
import type { Narrowing } from './use-narrowing';
import { tellRefused } from '../../../data/tell-refused';

/** Views that were kept: a click shows their goods. */
export function Views({ narrowing }: { narrowing: Narrowing }) {
  const { data } = useViews();
  const { remove } = useViewWrites();
  const views = data?.views ?? [];
  if (views.length === 0) return null;
  return (
    <Popover>
      <PopoverButton
        aria-label="Views"
        title="Views that were kept"
        className="rounded-md p-1.5 text-ink-2 hover:bg-sunk hover:text-ink"
      >
        <Bookmark size={16} aria-hidden="true" />
      </PopoverButton>
      <PopoverPanel anchor={{ to: 'bottom end', gap: 6 }} className="sheet z-40 w-72 p-1.5 shadow-xl">
        {({ close }) => (
          <ul>
            {views.map((view) => (
              <li key={view.id} className="group flex items-center rounded-md hover:bg-marigold-soft">
                <button
                  type="button"
                  onClick={() => {
                    narrowing.show(view);
                    close();
                  }}
                  className="flex min-w-0 flex-1 justify-between gap-3 px-2.5 py-1.5 text-left"
                >
                  <span className="truncate font-medium">{view.name}</span>
                  <span className="text-ink-2">{view.total}</span>
                </button>
                <button
                  type="button"
                  aria-label={`Delete the view ${view.name}`}
                  onClick={() => remove.mutate(view.id, { onError: tellRefused })}
                  className="px-2 text-ink-2 hover:text-rose"
                >
                  <X size={13} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ul>
        )}
      </PopoverPanel>
    </Popover>
  );
}
