import clsx from 'clsx';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useProposalCount, useSuppliers, useSupplierWrites, type SuppliersAnswer } from '../../data/suppliers';
import { Button } from '../../shared/ui/button';
import { TextField } from '../../shared/ui/field';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { useShopWindow } from '../../shared/window-state';
import { SupplierSheet } from './supplier-sheet';
import { refusalOf, tellRefused } from '../../data/tell-refused';
import { emptied } from '../../shared/ui/emptied';

const goodsWords = (goods: number) =>
  goods === 0 ? 'no goods yet' : `${goods} ${goods === 1 ? 'product' : 'products'}`;

/** Names that goods tell, of whom nothing else is known: each becomes a supplier at a click. */
function OnlyNamed({ named, open }: { named: SuppliersAnswer['onlyNamed']; open: (id: string) => void }) {
  const { add } = useSupplierWrites();
  return (
    <section aria-labelledby="only-named" className="mt-4">
      <h2 id="only-named" className="px-2.5 text-[13px] font-semibold text-ink-2">
        Only named by goods
      </h2>
      <ul className="sheet mt-1 p-1.5">
        {named.map(({ name, goods }) => (
          <li key={name} className="flex items-center gap-2 px-2.5 py-1">
            <span className="min-w-0 flex-1 truncate" title={name}>
              {name} <span className="text-xs text-ink-2">{goodsWords(goods)}</span>
            </span>
            <Button
              look="bare"
              aria-label={`Keep details of ${name}`}
              disabled={add.isPending}
              onClick={() =>
                add.mutate(name, {
                  onSuccess: ({ id }) => open(id),
                  onError: tellRefused,
                })
              }
            >
              Keep details
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function NewSupplier({ open }: { open: (id: string) => void }) {
  const { add } = useSupplierWrites();
  const [name, setName] = useState('');
  const problem = add.error ? refusalOf(add.error) : undefined;
  return (
    <form
      className="mt-3 flex items-start gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (add.isPending) return;
        add.mutate(name, {
          onSuccess: ({ id }) => {
            setName(emptied(name));
            open(id);
          },
        });
      }}
    >
      <div className="min-w-0 flex-1">
        <TextField
          label="Name of a new supplier"
          hideLabel
          placeholder="A new supplier"
          value={name}
          error={problem}
          onChange={({ target }) => setName(target.value)}
        />
      </div>
      <Button type="submit" disabled={name.trim() === '' || add.isPending}>
        Add
      </Button>
    </form>
  );
}

/** Whom goods are ordered from: what is known of each, what it has, and what to order. */
export function SuppliersPage() {
  useTitle('Suppliers');
  useShopWindow('/');
  const { id } = useParams();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const { data, error, refetch } = useSuppliers();
  const { data: proposals } = useProposalCount();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={6} />;
  const { suppliers, onlyNamed } = data;
  const part = params.get('part');
  const open = (next: string) => void navigate(`/suppliers/${next}${part ? `?part=${part}` : ''}`);
  const chosen = id === undefined ? suppliers[0] : suppliers.find((each) => each.id === id);
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
      <div className="flex flex-wrap items-baseline gap-3 py-2.5">
        <h1 className="font-display text-2xl font-bold">Suppliers</h1>
        <span className="text-ink-2">whom your goods come from; shoppers do not see them</span>
        <Link to="/proposals" className="ml-auto text-petrol hover:underline">
          {proposals?.waiting ? `${proposals.waiting} proposed by makers` : 'Proposed by makers'}
        </Link>
      </div>
      <div className="flex items-start gap-5 max-lg:flex-col">
        <nav aria-label="Suppliers" className="w-72 shrink-0 max-lg:w-full">
          {suppliers.length > 0 && (
            <ul className="sheet p-1.5">
              {suppliers.map((each) => (
                <li key={each.id}>
                  <Link
                    to={`/suppliers/${each.id}${part ? `?part=${part}` : ''}`}
                    aria-current={each === chosen}
                    className={clsx(
                      'flex items-baseline gap-2 rounded-lg px-2.5 py-1.5',
                      each === chosen ? 'bg-slate text-sheet' : 'hover:bg-sunk',
                    )}
                  >
                    <span className="min-w-0 flex-1 truncate font-semibold" title={each.name}>
                      {each.name}
                    </span>
                    <span className="shrink-0 text-xs">{goodsWords(each.goods)}</span>
                  </Link>
                </li>
              ))}
            </ul>
          )}
          <NewSupplier open={open} />
          {onlyNamed.length > 0 && <OnlyNamed named={onlyNamed} open={open} />}
        </nav>
        {chosen ? (
          <SupplierSheet
            key={chosen.id}
            id={chosen.id}
            makers={chosen.makers}
            goodsCount={chosen.goods}
            gone={() => void navigate('/suppliers')}
          />
        ) : (
          <div className="sheet min-w-0 flex-1 self-stretch">
            <Empty title={id === undefined ? 'No suppliers yet' : 'This supplier is not there any more'}>
              Keep who delivers what, in which time and at which cost. Then Dispona tells what to order before it runs
              out, and those who make your goods can propose changes themselves.
            </Empty>
          </div>
        )}
      </div>
    </div>
  );
}
