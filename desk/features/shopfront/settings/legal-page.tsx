import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { routes } from '../../../../contract';
import { legalKeys, type LegalKey } from '../../../../core/legal/legal-pages';
import { call, wordsOf } from '../../../data/api';
import { Button } from '../../../shared/ui/button';
import { Failed, Loading } from '../../../shared/ui/states';

const KEY = ['pages', 'legal'];

/** The pages that the law and shoppers expect: made in one step, filled from the settings. */
export function LegalPages() {
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({ queryKey: KEY, queryFn: () => call(routes.shopfront.legal) });
  const add = useMutation({
    mutationFn: (pages: LegalKey[]) => call(routes.shopfront.addLegal, { body: { pages } }),
    onSuccess: (answer) => {
      client.setQueryData(KEY, answer);
      void client.invalidateQueries({ queryKey: ['pages'], exact: true });
    },
  });
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={5} />;
  const missing = data.pages.filter(({ pageId, isAtFoot }) => pageId === null || !isAtFoot);
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-5">
      <div className="flex max-w-3xl flex-col gap-4">
        <section aria-labelledby="legal-pages">
          <h2 id="legal-pages" className="font-display text-lg font-bold">
            Legal pages
          </h2>
          <p className="text-ink-2">
            Wording to begin with, filled from your{' '}
            <Link to="?view=settings&part=contact" className="text-petrol underline">
              contact details
            </Link>
            . Have it looked at by somebody who knows the law of your country.
          </p>
        </section>
        <ul className="sheet px-4">
          {data.pages.map(({ key, title, pageId, isAtFoot, blanks }) => (
            <li
              key={key}
              className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-2.5 last:border-0"
            >
              <span className="min-w-44 font-semibold">
                {pageId ? (
                  <Link to={`?page=${pageId}`} className="hover:underline">
                    {title}
                  </Link>
                ) : (
                  title
                )}
              </span>
              <span className="min-w-0 flex-1 text-ink-2">
                {pageId === null
                  ? 'not there yet'
                  : blanks.length === 0
                    ? 'complete'
                    : `still blank: ${blanks.join(', ')}`}
                {pageId !== null && !isAtFoot && ' · not at the foot of the shop'}
              </span>
              {(pageId === null || !isAtFoot) && (
                <Button disabled={add.isPending} onClick={() => add.mutate([key])}>
                  {pageId === null ? 'Make it' : 'Put it at the foot'}
                </Button>
              )}
            </li>
          ))}
        </ul>
        {missing.length > 1 && (
          <div className="flex items-center gap-3">
            <Button look="main" disabled={add.isPending} onClick={() => add.mutate([...legalKeys])}>
              Make all and put them at the foot
            </Button>
            <span className="text-xs text-ink-2">One change, which undo takes back.</span>
          </div>
        )}
        {add.error && (
          <p role="alert" className="text-rose-ink">
            {wordsOf(add.error)}
          </p>
        )}
      </div>
    </div>
  );
}
