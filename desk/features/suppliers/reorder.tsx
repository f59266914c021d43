import clsx from 'clsx';
import { useEffect, useState } from 'react';
import { createPortal } from 'react-dom';
import { Link } from 'react-router';
import type { Supplier } from '../../../core/model/supplier';
import { useReorder, useSupplierWrites, type ReorderLine } from '../../data/suppliers';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Pressed } from '../../shared/ui/pressed';
import { saveFile } from '../../shared/ui/save-file';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { tellRefused } from '../../data/tell-refused';

const COVER = [14, 30, 60, 90];
/** So many lines are drawn at first, what is due before the others; more at a click. */
const DRAWN = 200;

interface Ordered {
  line: ReorderLine;
  pieces: number;
}

const nameOf = ({ title, variant }: ReorderLine) => [title, variant].filter(Boolean).join(', ');
const lastsWords = ({ likely }: ReorderLine) =>
  likely === null ? '—' : likely < 1 ? 'gone' : `${Math.round(likely)} days`;
const sumOf = (ordered: readonly Ordered[]) =>
  ordered.reduce((sum, { line, pieces }) => sum + (line.cost ?? 0) * pieces, 0);

/** The order on paper. */
function Paper({
  supplier,
  ordered,
  money,
}: {
  supplier: Supplier;
  ordered: readonly Ordered[];
  money: (minor: number) => string;
}) {
  const lines = [supplier.contact, supplier.email, supplier.phone].filter(Boolean).join(' · ');
  return (
    <div className="on-paper p-8">
      <h1 className="font-display text-2xl font-bold">Order to {supplier.name}</h1>
      <p className="whitespace-pre-line">{supplier.address}</p>
      <p>{lines}</p>
      {supplier.accountNumber && <p>Our customer number: {supplier.accountNumber}</p>}
      <table className="mt-6 w-full text-left">
        <thead>
          <tr className="border-b">
            {['Number', 'SKU', 'Product', 'Pieces', 'Cost each', 'Cost'].map((head) => (
              <th key={head} className="py-1 pr-3">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ordered.map(({ line, pieces }) => (
            <tr key={line.variantId} className="border-b">
              <td className="py-1 pr-3">{line.number}</td>
              <td className="pr-3">{line.sku}</td>
              <td className="pr-3">{nameOf(line)}</td>
              <td className="pr-3">{pieces}</td>
              <td className="pr-3">{line.cost === null ? '' : money(line.cost)}</td>
              <td>{line.cost === null ? '' : money(line.cost * pieces)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 text-right font-bold">{money(sumOf(ordered))}</p>
    </div>
  );
}

/** What to order from a supplier, worked out from what sells; pieces can be changed, and the order goes out as a file or on paper. */
export function Reorder({ supplier, money }: { supplier: Supplier; money: (minor: number) => string }) {
  const [days, setDays] = useState(30);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [isPrinting, setPrinting] = useState(false);
  const [drawn, setDrawn] = useState(DRAWN);
  const { data, error, refetch } = useReorder(supplier.id, days);
  const { orderFile } = useSupplierWrites();
  useEffect(() => {
    if (!isPrinting) return;
    window.print();
    setPrinting(false);
  }, [isPrinting]);
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={6} />;
  if (data.lines.length === 0)
    return (
      <div className="sheet">
        <Empty title="Nothing that is counted comes from here">
          Whatever has a stock count and comes from this supplier is listed here with what to order of it.
        </Empty>
      </div>
    );
  /** What is typed counts; without, what is due is ordered as it was worked out. */
  const textOf = (line: ReorderLine) =>
    typed[line.variantId] ?? (line.isDue && line.pieces > 0 ? String(line.pieces) : '');
  const piecesOf = (line: ReorderLine) => (/^\d{1,6}$/.test(textOf(line).trim()) ? Number(textOf(line)) : 0);
  const isWrong = (line: ReorderLine) => !/^\d{0,6}$/.test(textOf(line).trim());
  /** It may be gone before more arrives; or it is due for its warn-at level alone. */
  const isSoon = ({ isDue, likely }: ReorderLine) => isDue && likely !== null && likely <= data.deliveryDays;
  const isLow = (line: ReorderLine) => line.isDue && !isSoon(line);
  const ordered = data.lines.map((line) => ({ line, pieces: piecesOf(line) })).filter(({ pieces }) => pieces > 0);
  const sum = sumOf(ordered);
  const missing = supplier.smallestOrder === null ? 0 : supplier.smallestOrder - sum;
  const due = data.lines.filter(({ isDue }) => isDue).length;
  const download = () =>
    orderFile.mutate(
      { id: supplier.id, lines: ordered.map(({ line, pieces }) => ({ variantId: line.variantId, pieces })) },
      {
        onSuccess: ({ name, csv }) => saveFile(name, 'text/csv;charset=utf-8', csv),
        onError: tellRefused,
      },
    );
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-2">
        <span className="text-ink-2">It should last for</span>
        {COVER.map((each) => (
          <Pressed key={each} isOn={each === days} choose={() => setDays(each)}>
            {each} days
          </Pressed>
        ))}
        <span className="ml-auto flex gap-2">
          <Button disabled={ordered.length === 0} onClick={() => setPrinting(true)}>
            Print
          </Button>
          <Button look="main" disabled={ordered.length === 0 || orderFile.isPending} onClick={download}>
            Order as CSV
          </Button>
        </span>
      </div>
      <p className="mb-3 max-w-prose text-ink-2">
        {due === 0
          ? `Nothing is due: all of it most likely lasts longer than the ${data.deliveryDays} days until more arrives.`
          : `${count(due)} ${due === 1 ? 'line is' : 'lines are'} due: gone, or perhaps gone before more arrives in ${data.deliveryDays} days, or down to the warn-at level. So many pieces are enough in nine cases of ten.`}
      </p>
      <div className="sheet relative overflow-x-auto">
        <table className="w-full">
          <thead>
            <tr className="border-b border-line text-left text-xs text-ink-2">
              <th className="px-3 py-2 font-medium">Product</th>
              <th className="px-2 py-2 text-right font-medium">Left</th>
              <th className="px-2 py-2 text-right font-medium">A week</th>
              <th className="px-2 py-2 text-right font-medium">Lasts</th>
              <th className="px-2 py-2 text-right font-medium">Cost</th>
              <th className="w-28 px-3 py-2 text-right font-medium">Order</th>
            </tr>
          </thead>
          <tbody>
            {data.lines.slice(0, drawn).map((line) => (
              <tr
                key={line.variantId}
                className={clsx('border-b border-hair last:border-0', !line.isDue && 'text-ink-2')}
              >
                <td className="max-w-60 px-3 py-1.5">
                  <span className="flex items-center gap-2">
                    <Thumb src={line.thumbnail} className="size-7" />
                    <Link to={`/goods/${line.productId}`} className="truncate hover:underline" title={nameOf(line)}>
                      <span className="font-medium">{line.title}</span>
                      {line.variant && <span className="text-ink-2"> {line.variant}</span>}
                      <span className="block truncate text-xs text-ink-2">{line.number || line.sku}</span>
                    </Link>
                  </span>
                </td>
                <td className={clsx('px-2 text-right', isLow(line) && 'font-semibold text-rose-ink')}>{line.stock}</td>
                <td className="px-2 text-right">{line.weekly.toFixed(1)}</td>
                <td
                  className={clsx('px-2 text-right whitespace-nowrap', isSoon(line) && 'font-semibold text-rose-ink')}
                >
                  {lastsWords(line)}
                </td>
                <td className="px-2 text-right">{line.cost === null ? '—' : money(line.cost)}</td>
                <td className="px-3 text-right">
                  <input
                    aria-label={`Pieces of ${nameOf(line)}`}
                    aria-invalid={isWrong(line)}
                    inputMode="numeric"
                    placeholder={line.pieces > 0 ? String(line.pieces) : '0'}
                    value={textOf(line)}
                    onChange={({ target }) => setTyped({ ...typed, [line.variantId]: target.value })}
                    className="field !w-20 text-right"
                  />
                  {isWrong(line) && (
                    <span role="alert" className="block text-xs text-rose-ink">
                      Type a whole number.
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {data.lines.length > drawn && (
        <Button className="mt-3" onClick={() => setDrawn(drawn + 1_000)}>
          Show more of {count(data.lines.length)}
        </Button>
      )}
      <p className="mt-2 text-right">
        <span className="text-ink-2">
          {count(ordered.reduce((all, { pieces }) => all + pieces, 0))} pieces of {ordered.length}{' '}
          {ordered.length === 1 ? 'line' : 'lines'},
        </span>{' '}
        <strong>{money(sum)}</strong>
      </p>
      {ordered.length > 0 && missing > 0 && (
        <p role="status" className="mt-1 text-right text-marigold-ink">
          {money(missing)} are missing to their smallest order of {money(supplier.smallestOrder!)}.
        </p>
      )}
      {isPrinting && createPortal(<Paper supplier={supplier} ordered={ordered} money={money} />, document.body)}
    </>
  );
}
