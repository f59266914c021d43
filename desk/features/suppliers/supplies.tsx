import clsx from 'clsx';
import { useState } from 'react';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { CostFrom, Supplier } from '../../../core/model/supplier';
import { formatMoney } from '../../../core/shared/money';
import { useSupplierWrites, type SupplyAnswer } from '../../data/suppliers';
import { AddProduct } from '../../shared/pickers/add-product';
import { useTray } from '../../shared/tray-store';
import { Button } from '../../shared/ui/button';
import { NameField } from '../../shared/ui/name-field';
import { Pressed } from '../../shared/ui/pressed';
import { Empty } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { Costs } from './costs';
import { tellRefused } from '../../data/tell-refused';

/** So many are drawn at first; more at a click. */
const DRAWN = 200;

/** Puts goods here: those in the tray, or one by one. */
function AddGoods({ supplier, taken }: { supplier: Supplier; taken: readonly string[] }) {
  const { addGoods } = useSupplierWrites();
  const ids = useTray();
  const [main, setMain] = useState(true);
  const give = (productIds: string[]) =>
    addGoods.mutate(
      { id: supplier.id, productIds, main },
      {
        onSuccess: ({ count }) =>
          void toast(count === 0 ? 'They were here already' : `${count} ${count === 1 ? 'product' : 'products'} added`),
        onError: tellRefused,
      },
    );
  const fresh = ids.filter((id) => !taken.includes(id));
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2">
      <AddProduct taken={main ? [] : taken} add={(productId) => give([productId])} />
      {fresh.length > 0 && (
        <Button disabled={addGoods.isPending} onClick={() => give(fresh)}>
          Add {fresh.length} from the tray
        </Button>
      )}
      <span className="ml-2 text-ink-2">to be ordered here</span>
      <Pressed isOn={main} choose={() => setMain(true)}>
        as a rule
      </Pressed>
      <Pressed isOn={!main} choose={() => setMain(false)}>
        as well
      </Pressed>
    </div>
  );
}

const costWords = (costs: readonly CostFrom[], money: (minor: number) => string) => {
  const next = costs.find(({ from }) => from > new Date().toISOString().slice(0, 10));
  return next ? `${money(next.cost)} from ${format(new Date(`${next.from}T12:00`), 'd MMM')}` : '';
};

/** What a supplier has of the goods: its numbers, its costs by day. */
export function Supplies({
  supplier,
  goods,
  currency,
}: {
  supplier: Supplier;
  goods: readonly SupplyAnswer[];
  currency: string;
}) {
  const { setSupply, dropSupply } = useSupplierWrites();
  const [asked, setAsked] = useState<SupplyAnswer | null>(null);
  const [drawn, setDrawn] = useState(DRAWN);
  const money = (minor: number) => formatMoney(minor, currency);
  const taken = [...new Set(goods.map(({ productId }) => productId))];
  return (
    <>
      <AddGoods supplier={supplier} taken={taken} />
      {goods.length === 0 ? (
        <div className="sheet">
          <Empty title="Nothing comes from here yet">
            Add products one by one, or pick some up in Goods and add what is in the tray.
          </Empty>
        </div>
      ) : (
        <div className="sheet relative overflow-x-auto">
          <table className="w-full">
            <thead>
              <tr className="border-b border-line text-left text-xs text-ink-2">
                <th className="px-3 py-2 font-medium">Product</th>
                <th className="px-2 py-2 font-medium">Their number</th>
                <th className="px-2 py-2 text-right font-medium">Cost</th>
                <th className="px-2 py-2 font-medium">Agreed</th>
                <th className="px-2 py-2 text-right font-medium">Left</th>
                <th className="px-3 py-2">
                  <span className="sr-only">More</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {goods.slice(0, drawn).map((supply) => {
                const name = [supply.title, supply.variant].filter(Boolean).join(', ');
                return (
                  <tr
                    key={supply.variantId}
                    className={clsx('border-b border-hair last:border-0', !supply.isMain && 'text-ink-2')}
                  >
                    <td className="max-w-60 px-3 py-1.5">
                      <span className="flex items-center gap-2">
                        <Thumb src={supply.thumbnail} className="size-7" />
                        <Link
                          to={`/goods/${supply.productId}`}
                          className="min-w-0 truncate hover:underline"
                          title={name}
                        >
                          <span className="font-medium">{supply.title}</span>
                          {supply.variant && <span className="text-ink-2"> {supply.variant}</span>}
                          <span className="block truncate text-xs text-ink-2">{supply.sku}</span>
                        </Link>
                        {!supply.isMain && <span className="shrink-0 text-xs">as well</span>}
                      </span>
                    </td>
                    <td className="px-2">
                      <NameField
                        aria-label={`Their number of ${name}`}
                        value={supply.number}
                        placeholder="—"
                        maxLength={80}
                        keep={(number) =>
                          setSupply.mutate(
                            { id: supplier.id, variant: supply.variantId, number, costs: supply.costs },
                            { onError: tellRefused },
                          )
                        }
                        className="w-28 rounded-md border border-transparent bg-transparent px-1.5 py-1 hover:border-line"
                      />
                    </td>
                    <td className="px-2 text-right">{supply.cost === null ? '—' : money(supply.cost)}</td>
                    <td className="px-2">
                      <Button
                        look="bare"
                        aria-label={`Costs of ${name} by day`}
                        className="!px-1 text-xs"
                        onClick={() => setAsked(supply)}
                      >
                        {costWords(supply.costs, money) || 'By day …'}
                      </Button>
                    </td>
                    <td className="px-2 text-right">{supply.stock ?? '∞'}</td>
                    <td className="px-3 text-right">
                      {!supply.isMain && (
                        <Button
                          look="bare"
                          aria-label={`Not from here: ${name}`}
                          onClick={() =>
                            dropSupply.mutate({ id: supplier.id, variant: supply.variantId }, { onError: tellRefused })
                          }
                        >
                          Not from here
                        </Button>
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
      {goods.length > drawn && (
        <Button className="mt-3" onClick={() => setDrawn(drawn + 1_000)}>
          Show more of {goods.length}
        </Button>
      )}
      {asked && <Costs supplier={supplier} supply={asked} currency={currency} close={() => setAsked(null)} />}
    </>
  );
}
