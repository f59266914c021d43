import { useQuery } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { routes } from '../../../contract';
import { call } from '../../data/api';
import { Dialog } from '../../shared/ui/dialog';
import { SortableRows } from '../../shared/ui/sortable-rows';
import { Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { tellRefused } from '../../data/tell-refused';

/** Featured goods in the order in which shoppers meet them, wherever featured ones come first. */
export function FeaturedOrder({ close }: { close: () => void }) {
  const { data } = useQuery({ queryKey: ['goods', 'featured'], queryFn: () => call(routes.goods.featured) });
  const rows = data?.rows ?? [];
  return (
    <Dialog title="Featured goods, in order" isOpen close={close}>
      <p className="mb-2 text-ink-2">
        Strips and listings that put featured goods first show them in this order. Drag them, or use Space and the arrow
        keys.
      </p>
      {!data ? (
        <Loading rows={3} />
      ) : rows.length === 0 ? (
        <p className="font-semibold">Nothing is featured yet: a click on the star of a product features it.</p>
      ) : (
        <SortableRows
          items={rows}
          keyOf={({ id }) => id}
          reorder={(next) => {
            call(routes.goods.orderFeatured, { body: { ids: next.map(({ id }) => id) } }).catch(tellRefused);
          }}
          className="max-h-[50vh] overflow-y-auto"
          draw={(row, grip, i) => (
            <div className="flex items-center gap-2 py-1">
              {grip}
              <span className="w-5 text-right text-ink-2">{i + 1}</span>
              <Thumb src={row.thumbnail} frame={row.frame} className="size-8" />
              <span className="min-w-0 flex-1 truncate">{row.title}</span>
              <button
                type="button"
                aria-label={`Feature ${row.title} no longer`}
                onClick={() => {
                  call(routes.goods.feature, { body: { ids: [row.id], featured: false } }).catch(tellRefused);
                }}
                className="rounded p-1 text-ink-2 hover:text-rose"
              >
                <X size={13} aria-hidden="true" />
              </button>
            </div>
          )}
        />
      )}
    </Dialog>
  );
}
