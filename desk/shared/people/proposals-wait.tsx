import { Link } from 'react-router';
import { useProposalCount } from '../../data/suppliers';

/** What makers proposed is no part of the work yet: it waits to be taken. */
export function ProposalsWait() {
  const { data } = useProposalCount();
  if (!data?.waiting) return null;
  return (
    <p className="mb-3 rounded-[10px] bg-marigold-soft px-3.5 py-2 text-marigold-ink">
      <Link to="/proposals" className="font-semibold underline">
        {data.waiting === 1 ? 'One proposal of a maker' : `${data.waiting} proposals of makers`}
      </Link>{' '}
      {data.waiting === 1 ? 'waits' : 'wait'} to be taken or refused; nothing of it goes live before.
    </p>
  );
}
