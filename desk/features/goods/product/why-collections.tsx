import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { routes } from '../../../../contract';
import type { AnswerOf } from '../../../../contract/route';
import { call } from '../../../data/api';
import { Reasons } from '../../../shared/ui/reasons';

type Membership = AnswerOf<typeof routes.goods.memberships>['collections'][number];

/** So many of those that it is not in are told at first. */
const NEAR = 3;

function Row({ of }: { of: Membership }) {
  const [isOpen, setOpen] = useState(false);
  const words = of.isIn
    ? of.source === 'picked'
      ? 'picked by hand'
      : 'taken in by its rule'
    : of.missing === null
      ? 'its rule is empty'
      : of.missing === 1
        ? 'one condition stands in the way'
        : `${of.missing} conditions stand in the way`;
  return (
    <li>
      <span className="flex flex-wrap items-baseline gap-x-2">
        <Link to={`/groups/${of.id}`} className="font-medium hover:underline">
          {of.name}
        </Link>
        <span className="text-ink-2">{words}</span>
        {of.reasons.length > 0 && (
          <button
            type="button"
            aria-expanded={isOpen}
            onClick={() => setOpen(!isOpen)}
            className="text-xs text-petrol hover:underline"
          >
            why
          </button>
        )}
      </span>
      {isOpen && <Reasons reasons={of.reasons} className="mb-2 mt-1 pl-4" />}
    </li>
  );
}

/** Which collections the product is in and why, and those whose rule it misses by least. */
export function WhyCollections({ id }: { id: string }) {
  const { data } = useQuery({
    queryKey: ['product', id, 'memberships'],
    queryFn: () => call(routes.goods.memberships, { params: { id } }),
  });
  const [showsAll, setShowsAll] = useState(false);
  const all = data?.collections ?? [];
  const inside = all.filter(({ isIn }) => isIn);
  const outside = all.filter(({ isIn, source }) => !isIn && source === 'rule');
  const shown = showsAll ? outside : outside.slice(0, NEAR);
  if (!data) return <span className="text-ink-2">…</span>;
  return (
    <div>
      {inside.length === 0 && <p className="text-ink-2">In no collection.</p>}
      <ul className="flex flex-col gap-1">
        {inside.map((one) => (
          <Row key={one.id} of={one} />
        ))}
      </ul>
      {outside.length > 0 && (
        <>
          <p className="mt-2 text-xs text-ink-2">Not in, nearest first</p>
          <ul className="flex flex-col gap-1">
            {shown.map((one) => (
              <Row key={one.id} of={one} />
            ))}
          </ul>
          {outside.length > NEAR && (
            <button
              type="button"
              onClick={() => setShowsAll(!showsAll)}
              className="text-xs text-petrol hover:underline"
            >
              {showsAll ? 'fewer' : `${outside.length - NEAR} more`}
            </button>
          )}
        </>
      )}
    </div>
  );
}
