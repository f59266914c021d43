import clsx from 'clsx';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { useSettings } from '../../data/shopfront';
import { useLetters, type Letters } from '../../data/letters';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { dayWords } from './day-words';
import { OrderList } from './order-list';
import { OrderPage } from './order-page';
import { Questions } from './questions';
import { SellingPage } from './selling-page';

const parts = ['orders', 'selling', 'questions', 'waiting', 'outbox'] as const;
type Part = (typeof parts)[number];

const names: Record<Part, string> = {
  orders: 'Orders',
  selling: 'Delivery and payment',
  questions: 'Questions',
  waiting: 'Waiting for stock',
  outbox: 'Mail sent',
};

const countOf = (letters: Letters, part: Part) =>
  part === 'orders' || part === 'selling'
    ? 0
    : part === 'questions'
      ? letters.questions.filter(({ answered }) => answered === null).length
      : letters[part].length;

function Waiting({ waiting }: Pick<Letters, 'waiting'>) {
  if (waiting.length === 0)
    return (
      <Empty title="Nobody is waiting">
        Where a product is sold out, shoppers can ask to be told when it is back. They are written to as soon as it is.
      </Empty>
    );
  const byVariant = new Map<string, (typeof waiting)[number][]>();
  for (const note of waiting) byVariant.set(note.variantId, [...(byVariant.get(note.variantId) ?? []), note]);
  return (
    <ul className="sheet max-w-3xl divide-y divide-hair px-4">
      {[...byVariant].map(([variantId, notes]) => (
        <li key={variantId} className="flex flex-wrap items-baseline justify-between gap-x-4 py-2.5">
          <Link to={`/goods/${notes[0]!.productId}`} className="font-semibold hover:underline">
            {notes[0]!.about}
          </Link>
          <span className="text-ink-2" title={notes.map(({ email }) => email).join('\n')}>
            {notes.length === 1 ? `${notes[0]!.email} has` : `${notes.length} people have`} been waiting since{' '}
            {dayWords(notes.at(-1)!.at)}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Outbox({ outbox }: Pick<Letters, 'outbox'>) {
  return (
    <>
      <p className="mb-3 max-w-3xl rounded-lg bg-sky px-3 py-2 text-sky-ink">
        Sending is simulated: mail is kept here, and nothing leaves this machine.
      </p>
      {outbox.length === 0 ? (
        <Empty title="No mail yet">Answers, and notes that something is back, are kept here.</Empty>
      ) : (
        <ul className="sheet max-w-3xl divide-y divide-hair px-4">
          {outbox.map(({ id, at, sender, recipient, subject, text }) => (
            <li key={id}>
              <details className="py-2.5">
                <summary className="flex cursor-pointer flex-wrap items-baseline justify-between gap-x-4">
                  <span className="min-w-0 break-words font-semibold">{subject}</span>
                  <span className="text-xs text-ink-2">
                    to {recipient}, {dayWords(at)}
                  </span>
                </summary>
                {sender && <p className="mt-2 text-xs text-ink-2">from {sender}</p>}
                <p className="mt-2 max-w-prose whitespace-pre-wrap break-words">{text}</p>
              </details>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** What shoppers write to the shop, and what the shop writes to them. */
export function OrdersPage() {
  useTitle('Orders');
  const [params, setParams] = useSearchParams();
  const { data, error, refetch } = useLetters();
  const { id } = useParams();
  const { data: settings } = useSettings();
  const navigate = useNavigate();
  const part = id ? 'orders' : (parts.find((each) => each === params.get('part')) ?? 'orders');
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex flex-wrap items-center gap-2 border-b border-line px-4 py-2">
        <h1 className="mr-2 font-display text-2xl font-bold">Orders</h1>
        <div role="tablist" aria-label="Orders and letters" className="flex flex-wrap gap-1.5">
          {parts.map((each) => (
            <button
              key={each}
              type="button"
              role="tab"
              aria-selected={each === part}
              onClick={() => (id ? void navigate(`/orders?part=${each}`) : setParams({ part: each }))}
              className={clsx(
                'rounded-lg px-3 py-1.5 font-semibold',
                each === part ? 'bg-ink text-sheet' : 'bg-sunk text-ink hover:bg-line',
              )}
            >
              {names[each]}
              {data && countOf(data, each) > 0 && ` ${countOf(data, each)}`}
            </button>
          ))}
        </div>
      </div>
      {part === 'selling' && (settings ? <SellingPage settings={settings} /> : <Loading rows={4} />)}
      <div className={clsx('min-h-0 flex-1 overflow-y-auto p-5', part === 'selling' && 'hidden')}>
        {part === 'selling' ? null : id ? (
          <OrderPage key={id} id={id} />
        ) : part === 'orders' ? (
          <OrderList />
        ) : !data ? (
          <Loading rows={4} />
        ) : part === 'questions' ? (
          <Questions questions={data.questions} />
        ) : part === 'waiting' ? (
          <Waiting waiting={data.waiting} />
        ) : (
          <Outbox outbox={data.outbox} />
        )}
      </div>
    </div>
  );
}
