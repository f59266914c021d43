import { Menu, MenuButton, MenuItem, MenuItems, Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import clsx from 'clsx';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { bulkActions, type BulkKey } from '../../../core/bulk/bulk-actions';
import { BulkDialog } from '../../features/bulk/bulk-dialog';
import { CopyFrom } from '../../features/bulk/copy-from';
import { MergeDialog } from '../../features/bulk/merge-dialog';
import { useWhich } from '../../data/bulk';
import { SplitDialog } from '../../features/bulk/split-dialog';
import { Button } from '../../shared/ui/button';
import { count, products } from '../../shared/ui/count';
import { dragsGoods, useGoodsDrop } from '../../shared/ui/goods-drag';
import { Thumb } from '../../shared/ui/thumb';
import { AddToGroup } from './add-to-group';
import { tray, useTrayContent, useTrayWhich } from '../../shared/tray-store';

const SHOWN = 9;
const LISTED = 200;
const item = 'block w-full rounded-md px-2.5 py-1.5 text-left data-focus:bg-marigold-soft';
function Contents() {
  const which = useTrayWhich();
  const { ids } = useTrayContent();
  const { data } = useWhich(which, LISTED);
  return (
    <ul className="max-h-[60vh] overflow-y-auto" aria-label="Goods in the tray">
      {(data?.rows ?? []).map((row) => (
        <li key={row.id} className="flex items-center gap-2.5 rounded-md px-1.5 py-1 hover:bg-sunk/60">
          <Thumb src={row.thumbnail} frame={row.frame} className="size-8" />
          <span className="min-w-0 flex-1 truncate">{row.title}</span>
          {ids.includes(row.id) ? (
            <button
              type="button"
              aria-label={`Take ${row.title} out of the tray`}
              onClick={() => tray.drop([row.id])}
              className="rounded p-1 text-ink-2 hover:text-rose"
            >
              <X size={13} aria-hidden="true" />
            </button>
          ) : (
            <span className="text-xs text-ink-2">matches</span>
          )}
        </li>
      ))}
      {data && data.total > LISTED && <li className="px-2 py-1 text-ink-2">and {count(data.total - LISTED)} more</li>}
    </ul>
  );
}

/** Goods picked up, along the bottom edge, on every desk. Everything that is done to many begins here. */
export default function TrayBar() {
  const { ids, matching } = useTrayContent();
  const which = useTrayWhich();
  const isEmpty = ids.length === 0 && !matching;
  const { data } = useWhich(which, SHOWN, !isEmpty);
  const [isAdding, setAdding] = useState(false);
  const [action, setAction] = useState<BulkKey>();
  const [reshaping, setReshaping] = useState<'merge' | 'split' | 'copy'>();
  const navigate = useNavigate();
  const drop = useGoodsDrop(tray.add);
  if (isEmpty)
    return (
      <section
        aria-label="Tray"
        {...drop.props}
        className={clsx('px-4 py-2.5 text-center text-sheet', drop.isOver ? 'bg-petrol' : 'bg-ink')}
      >
        Drop here to put it in the tray
      </section>
    );
  const total = data?.total ?? ids.length;
  const rows = data?.rows ?? [];
  const words = matching
    ? `${products(total)}: ${ids.length > 0 ? `${count(ids.length)} picked, and ` : ''}whatever matches ${matching.words}`
    : `${products(total)}, kept while you move between desks`;
  return (
    <section
      aria-label="Tray"
      {...drop.props}
      className={clsx(
        'flex min-h-[46px] items-center gap-3 px-4 py-1.5 text-sheet max-md:flex-wrap',
        drop.isOver ? 'bg-petrol' : 'bg-ink',
      )}
    >
      <h2 className="font-display font-bold">Tray</h2>
      <Popover>
        {/* The button refuses the press that begins a drag, so it does not hear of it; a click still opens the list. */}
        <span
          {...dragsGoods(() => ids)}
          onMouseDownCapture={(event) => event.stopPropagation()}
          className="cursor-grab"
        >
          <PopoverButton aria-label="Show the goods in the tray" className="flex rounded-lg">
            {rows.slice(0, SHOWN).map((row) => (
              <Thumb
                key={row.id}
                src={row.thumbnail}
                alt=""
                frame={row.frame}
                className="-ml-1 size-7 border-2 border-ink first:ml-0"
              />
            ))}
          </PopoverButton>
        </span>
        <PopoverPanel anchor={{ to: 'top start', gap: 10 }} className="sheet z-50 w-80 p-2 text-ink shadow-xl">
          <Contents />
        </PopoverPanel>
      </Popover>
      <p className="min-w-0 truncate text-sheet/80" title={words}>
        {words}
      </p>
      <div className="ml-auto flex items-center gap-2 max-md:flex-wrap">
        <Button look="dark" onClick={() => void navigate('/goods/sheet?of=tray')}>
          Edit as sheet
        </Button>
        <Button look="dark" onClick={() => void navigate('/exchange?part=out')}>
          Take out as a file
        </Button>
        <Button look="dark" onClick={() => setAdding(true)}>
          Add to group…
        </Button>
        <Button look="dark" onClick={() => setAction('price')}>
          Change prices…
        </Button>
        <Menu>
          <MenuButton as={Button} look="dark">
            Change…
          </MenuButton>
          <MenuItems anchor={{ to: 'top end', gap: 8 }} className="sheet z-50 w-56 p-1 text-ink shadow-xl">
            {total > 1 && (
              <MenuItem>
                <button type="button" onClick={() => setReshaping('merge')} className={item}>
                  Merge into one product
                </button>
              </MenuItem>
            )}
            {total === 1 && rows[0] && (
              <MenuItem>
                <button type="button" onClick={() => setReshaping('split')} className={item}>
                  Split by an option
                </button>
              </MenuItem>
            )}
            <MenuItem>
              <button type="button" onClick={() => setReshaping('copy')} className={item}>
                Copy parts from a product
              </button>
            </MenuItem>
            {(Object.keys(bulkActions) as BulkKey[]).map((key) => (
              <MenuItem key={key}>
                <button
                  type="button"
                  onClick={() => setAction(key)}
                  className={clsx(item, key === 'delete' && 'border-t border-hair text-rose-ink')}
                >
                  {bulkActions[key].name}
                </button>
              </MenuItem>
            ))}
          </MenuItems>
        </Menu>
        <button
          type="button"
          onClick={tray.empty}
          className="whitespace-nowrap px-2 text-sheet/80 hover:text-sheet hover:underline"
        >
          Empty tray
        </button>
      </div>
      <AddToGroup which={which} total={total} isOpen={isAdding} close={() => setAdding(false)} />
      {reshaping === 'merge' && <MergeDialog which={which} close={() => setReshaping(undefined)} />}
      {reshaping === 'split' && rows[0] && <SplitDialog id={rows[0].id} close={() => setReshaping(undefined)} />}
      {reshaping === 'copy' && <CopyFrom close={() => setReshaping(undefined)} />}
      {action && <BulkDialog key={action} action={action} which={which} close={() => setAction(undefined)} />}
    </section>
  );
}
