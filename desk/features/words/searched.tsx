import { useState } from 'react';
import { Link as To, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { languageName } from '../../../core/model/languages';
import { useCreateProduct } from '../../data/goods';
import { useCollectionWrites } from '../../data/groups';
import { useSearched, useSearchedWrites, type SearchedRow } from '../../data/searched';
import { LinkField } from '../../shared/pickers/link-field';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Dialog } from '../../shared/ui/dialog';
import { OneOf } from '../../shared/ui/one-of';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { tellRefused } from '../../data/tell-refused';

const asTitle = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** What can be done about a search, each at one click. */
function Mends({ row }: { row: SearchedRow }) {
  const [open, setOpen] = useState<'same' | 'lead' | null>(null);
  const [as, setAs] = useState('');
  const navigate = useNavigate();
  const { same, lead } = useSearchedWrites();
  const createProduct = useCreateProduct();
  const { create } = useCollectionWrites();
  const { locale, words } = row;
  const close = () => setOpen(null);
  return (
    <span className="flex flex-wrap justify-end gap-1">
      <Button look="bare" onClick={() => setOpen('same')}>
        Means the same as
      </Button>
      {row.leads ? (
        <Button look="bare" onClick={() => lead.mutate({ locale, words, to: null }, { onError: tellRefused })}>
          Search it again
        </Button>
      ) : (
        <Button look="bare" onClick={() => setOpen('lead')}>
          Lead to a page
        </Button>
      )}
      <Button
        look="bare"
        disabled={create.isPending}
        title="A collection of the goods whose title holds these words"
        onClick={() =>
          create.mutate(
            {
              name: asTitle(words),
              source: 'rule',
              rule: { match: 'all', of: [{ field: 'title', is: 'contains', value: words }] },
            },
            { onSuccess: ({ id }) => void navigate(`/groups/${id}`) },
          )
        }
      >
        Make a collection
      </Button>
      {row.finds === 0 && (
        <Button
          look="bare"
          disabled={createProduct.isPending}
          title="A draft reminds you that shoppers look for it"
          onClick={() =>
            createProduct.mutate(
              { title: asTitle(words), kind: 'physical', price: 0 },
              {
                onSuccess: ({ product }) =>
                  void toast(<To to={`/goods/${product.id}`}>Made a draft of “{product.title}”. Open it</To>),
                onError: tellRefused,
              },
            )
          }
        >
          Note as missing
        </Button>
      )}
      <Dialog title={`“${words}” means the same as`} isOpen={open === 'same'} close={close}>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            same.mutate({ locale, words, as }, { onSuccess: close, onError: tellRefused });
          }}
        >
          <input
            aria-label="Means the same as"
            lang={locale}
            value={as}
            maxLength={60}
            placeholder="a word that your goods use"
            onChange={(event) => setAs(event.target.value)}
            className="field w-full"
          />
          <div className="mt-4 flex justify-end gap-2">
            <Button onClick={close}>Not now</Button>
            <Button type="submit" look="main" disabled={as.trim() === '' || same.isPending}>
              Keep it
            </Button>
          </div>
        </form>
      </Dialog>
      <Dialog title={`A search for “${words}” leads to`} isOpen={open === 'lead'} close={close}>
        <LinkField
          label="Leads to"
          link={null}
          change={(to) => to && lead.mutate({ locale, words, to }, { onSuccess: close, onError: tellRefused })}
        />
      </Dialog>
    </span>
  );
}

/** What shoppers searched, what they found and opened, and what can be done about what they did not find. */
export function Searched() {
  const [days, setDays] = useState('90');
  const [isLost, setLost] = useState(false);
  const { data, error } = useSearched(Number(days), isLost);
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={8} />;
  return (
    <div className="max-w-5xl">
      <div className="mb-4 flex flex-wrap items-end gap-6">
        <OneOf
          label="Within"
          choices={[
            { value: '7', label: 'a week' },
            { value: '30', label: '30 days' },
            { value: '90', label: '90 days' },
            { value: '365', label: 'a year' },
          ]}
          value={days}
          choose={setDays}
        />
        <OneOf
          label="Searches"
          choices={[
            { value: 'all', label: 'All' },
            { value: 'lost', label: 'Those that find nothing' },
          ]}
          value={isLost ? 'lost' : 'all'}
          choose={(value) => setLost(value === 'lost')}
        />
        <p className="text-ink-2">Counted on your server, without anything about who searched. Robots are left out.</p>
      </div>
      <div className="sheet overflow-x-auto">
        {data.rows.length === 0 ? (
          <Empty title={isLost ? 'Everything that was searched finds something' : 'Nobody has searched yet'}>
            What shoppers type into the search of your shop appears here, the most frequent first.
          </Empty>
        ) : (
          <table className="w-full border-collapse">
            <thead>
              <tr className="border-b border-line text-left text-xs text-ink-2">
                <th scope="col" className="px-4 py-2 font-normal">
                  Searched for
                </th>
                <th scope="col" className="px-3 py-2 text-right font-normal">
                  Times
                </th>
                <th scope="col" className="px-3 py-2 text-right font-normal">
                  Finds now
                </th>
                <th scope="col" className="px-3 py-2 font-normal">
                  Opened then
                </th>
                <th scope="col">
                  <span className="sr-only">What to do</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {data.rows.map((row) => (
                <tr key={`${row.locale} ${row.words}`} className="border-b border-hair align-top last:border-0">
                  <th scope="row" className="px-4 py-2 text-left font-medium">
                    {row.words}
                    <span className="ml-2 text-xs font-normal text-ink-2">{languageName(row.locale, 'en')}</span>
                  </th>
                  <td className="px-3 py-2 text-right tabular-nums">{count(row.times)}</td>
                  <td className="px-3 py-2 text-right tabular-nums">
                    {row.leads ? (
                      <span className="text-petrol-ink">leads to {row.leads.label}</span>
                    ) : row.finds === 0 ? (
                      <span className="rounded-md bg-rose-soft px-1.5 py-px text-rose-ink">nothing</span>
                    ) : (
                      count(row.finds)
                    )}
                  </td>
                  <td className="px-3 py-2">
                    {row.opened.length === 0 ? (
                      <span className="text-ink-3">–</span>
                    ) : (
                      row.opened.map(({ id, title, times }, i) => (
                        <span key={id}>
                          {i > 0 && ', '}
                          <To to={`/goods/${id}`} className="underline-offset-2 hover:underline">
                            {title}
                          </To>{' '}
                          <span className="text-xs tabular-nums text-ink-2">{count(times)}</span>
                        </span>
                      ))
                    )}
                  </td>
                  <td className="px-2 py-1.5">
                    <Mends row={row} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
    </div>
  );
}
