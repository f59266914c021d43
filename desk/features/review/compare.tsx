import { ArrowLeft } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { changeGroups } from '../../../core/publishing/change-groups';
import { useCompared, useEditions, useEditionWrites, type Edition } from '../../data/review';
import { Button } from '../../shared/ui/button';
import { Select } from '../../shared/ui/select';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { ChangeRow, Sheet } from './change-row';
import { grouped } from './changes';

const nameOf = ({ number, label }: Edition) => (label ? `${number} · ${label}` : String(number));

/** What lies between two editions, in the words of the review; any one thing of the older can be brought back. */
export function Compare({ from, to }: { from: number; to: number }) {
  const { data: known } = useEditions();
  const { data, error } = useCompared(from, to);
  const { bringBack } = useEditionWrites();
  const [, setParams] = useSearchParams();
  const options = (known?.editions ?? []).map((edition) => ({ value: String(edition.number), label: nameOf(edition) }));
  const choose = (which: { from?: number; to?: number }) => {
    const next = { from, to, ...which };
    setParams({ from: String(next.from), to: String(next.to) }, { replace: true });
  };
  return (
    <div className="relative min-h-0 flex-1 overflow-y-auto px-4 pb-6">
      <div className="flex flex-wrap items-center gap-3 py-2.5">
        <Link to="/review" aria-label="Back to the review" className="rounded-md p-1 text-ink-2 hover:text-ink">
          <ArrowLeft size={16} aria-hidden="true" />
        </Link>
        <h1 className="font-display text-2xl font-bold">Compare editions</h1>
        {options.length > 0 && (
          <>
            <Select
              label="From edition"
              value={String(from)}
              choices={options}
              choose={(value) => choose({ from: Number(value) })}
            />
            <Select
              label="To edition"
              value={String(to)}
              choices={options}
              choose={(value) => choose({ to: Number(value) })}
            />
          </>
        )}
      </div>
      {error && <Failed error={error} />}
      {!data && !error && <Loading />}
      {data?.total === 0 && <Empty title="Nothing differs between these two">Shoppers would notice nothing.</Empty>}
      {data && data.total > 0 && (
        <div className="flex flex-col gap-3">
          {data.total > data.changes.length && (
            <p className="text-ink-2">
              The first {data.changes.length} of {data.total}.
            </p>
          )}
          {grouped(data.changes).map(({ group, rows }) => (
            <Sheet key={group} title={changeGroups[group]} note={String(rows.length)}>
              {rows.map(({ change, fields }) => (
                <ChangeRow key={`${change.kind} ${change.key}`} change={change} fields={fields}>
                  {change.what !== 'new' && (
                    <Button
                      look="bare"
                      aria-label={`Bring “${change.title}” back from edition ${from}`}
                      disabled={bringBack.isPending}
                      onClick={() =>
                        bringBack.mutate(
                          { number: from, kind: change.kind, key: change.key },
                          { onSuccess: ({ title }) => void toast(`“${title}” is in the working copy as it was then`) },
                        )
                      }
                    >
                      Bring it back
                    </Button>
                  )}
                </ChangeRow>
              ))}
            </Sheet>
          ))}
        </div>
      )}
    </div>
  );
}
