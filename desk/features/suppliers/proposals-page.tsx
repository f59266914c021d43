import { format } from 'date-fns';
import { Link } from 'react-router';
import { useProposals, type ProposalAnswer } from '../../data/suppliers';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { useTitle } from '../../shared/ui/use-title';
import { useShopWindow } from '../../shared/window-state';
import { Proposal } from './proposal';

const stateWords = { taken: 'taken', refused: 'refused', waiting: 'waiting', withdrawn: 'withdrawn' } as const;

function Answered({ proposal }: { proposal: ProposalAnswer }) {
  const { title, by, supplier, state, reply, answeredAt, productId, rows, thumbnail } = proposal;
  return (
    <li className="flex items-center gap-3 border-b border-hair px-3.5 py-2 last:border-0">
      <Thumb src={thumbnail} className="size-8" />
      <span className="min-w-0 flex-1">
        <span className="block truncate font-semibold" title={title}>
          {productId ? (
            <Link to={`/goods/${productId}`} className="hover:underline">
              {title}
            </Link>
          ) : (
            title
          )}
        </span>
        <span className="block truncate text-[13px] text-ink-2">
          {[`${by} of ${supplier}`, rows.map(({ label }) => label).join(', '), reply && `“${reply}”`]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </span>
      <span className="shrink-0 text-xs text-ink-2">
        {stateWords[state]}
        {answeredAt && `, ${format(new Date(answeredAt), 'd MMM HH:mm')}`}
      </span>
    </li>
  );
}

/** What makers propose: taken, with changes if need be, or refused with a word. */
export function ProposalsPage() {
  useTitle('Proposed by makers');
  useShopWindow('/');
  const { data, error, refetch } = useProposals();
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={6} />;
  const { waiting, answered } = data;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
      <div className="flex flex-wrap items-baseline gap-3 py-2.5">
        <h1 className="font-display text-2xl font-bold">Proposed by makers</h1>
        <span className="text-ink-2">
          {waiting.length === 0 ? 'nothing waits' : `${waiting.length} to answer, the oldest first`}
        </span>
        <Link to="/suppliers" className="ml-auto text-petrol hover:underline">
          Suppliers
        </Link>
      </div>
      <div className="flex max-w-4xl flex-col gap-4">
        {waiting.length === 0 && (
          <div className="sheet">
            <Empty
              title="Nothing to answer"
              action={
                <Link to="/shopfront?view=settings&part=people" className="text-petrol hover:underline">
                  Invite somebody who makes your goods
                </Link>
              }
            >
              Those who make your goods can sign in, see their own goods only, and propose changes and new ones. What
              they propose waits here until you take it.
            </Empty>
          </div>
        )}
        {waiting.map((proposal) => (
          <Proposal key={`${proposal.id} ${proposal.madeAt}`} proposal={proposal} />
        ))}
        {answered.length > 0 && (
          <section aria-labelledby="answered">
            <h2 id="answered" className="mb-1.5 font-display text-lg font-bold">
              Answered
            </h2>
            <ul className="sheet">
              {answered.map((proposal) => (
                <Answered key={proposal.id} proposal={proposal} />
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  );
}
