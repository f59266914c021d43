import { useState } from 'react';
import { toast } from 'sonner';
import { groupedCode, isMadeCode } from '../../../core/orders/codes';
import { CallError, wordsOf } from '../../data/api';
import { useCodes, useOfferWrites } from '../../data/offers';
import { Button } from '../../shared/ui/button';
import { TextField } from '../../shared/ui/field';
import { saveCsv } from '../../shared/ui/save-csv';
import { tellRefused } from '../../data/tell-refused';
import { emptied } from '../../shared/ui/emptied';

const shown = (code: string) => (isMadeCode(code) ? groupedCode(code) : code);

/** The codes with which shoppers get an offer. */
export function OfferCodes({ id, name }: { id: string; name: string }) {
  const { data } = useCodes(id);
  const { addCodes, dropCodes } = useOfferWrites();
  const [own, setOwn] = useState('');
  const [count, setCount] = useState('');
  const [uses, setUses] = useState('');
  const [problem, setProblem] = useState<Readonly<Record<string, string>>>({});
  const codes = data?.codes ?? [];
  const limit = uses.trim() === '' ? null : Number(uses);
  const make = (body: { code: string } | { count: number }, done: () => void) =>
    addCodes
      .mutateAsync({ id, ...body, uses: limit, note: '' })
      .then(({ codes: made }) => {
        setProblem({});
        done();
        toast.success(made.length === 1 ? `The code ${shown(made[0]!)} is made.` : `${made.length} codes are made.`);
      })
      .catch((error: unknown) => {
        const errors = error instanceof CallError ? error.errors : [];
        setProblem(
          errors.length > 0
            ? Object.fromEntries(errors.map(({ path, message }) => [String(path[0]), message]))
            : { code: wordsOf(error) },
        );
      });
  return (
    <section aria-labelledby="codes" className="sheet p-4">
      <h3 id="codes" className="font-display text-[15px] font-bold">
        Codes{' '}
        <span className="ml-1 font-sans text-xs font-semibold text-ink-2">{codes.length > 0 && codes.length}</span>
      </h3>
      <div className="mt-2 flex flex-col gap-3">
        <form
          className="flex items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void make({ code: own }, () => setOwn(emptied(own)));
          }}
        >
          <div className="min-w-0 flex-1">
            <TextField
              label="A code of your own"
              placeholder="LIGHTWIND15"
              value={own}
              error={problem.code}
              onChange={({ target }) => setOwn(target.value)}
            />
          </div>
          <Button type="submit" className="mt-[22px]" disabled={own.trim() === '' || addCodes.isPending}>
            Make
          </Button>
        </form>
        <form
          className="flex items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            void make({ count: Number(count) }, () => setCount(emptied(count)));
          }}
        >
          <div className="min-w-0 flex-1">
            <TextField
              label="Or many at once"
              placeholder="how many"
              inputMode="numeric"
              value={count}
              error={problem.count}
              onChange={({ target }) => setCount(target.value)}
            />
          </div>
          <div className="w-28">
            <TextField
              label="Uses of each"
              placeholder="no limit"
              inputMode="numeric"
              value={uses}
              error={problem.uses}
              onChange={({ target }) => setUses(target.value)}
            />
          </div>
          <Button type="submit" className="mt-[22px]" disabled={count.trim() === '' || addCodes.isPending}>
            Make
          </Button>
        </form>
      </div>
      {codes.length > 0 && (
        <>
          <ul className="mt-3 max-h-64 divide-y divide-hair overflow-y-auto border-y border-hair">
            {codes.map(({ code, uses: most, used }) => (
              <li key={code} className="flex items-center justify-between gap-3 py-1">
                <span className="font-semibold tabular-nums">{shown(code)}</span>
                <span className="ml-auto text-xs tabular-nums text-ink-2">
                  {most === null ? `${used} used` : `${used} of ${most} used`}
                </span>
                <Button
                  look="bare"
                  aria-label={`Delete the code ${code}`}
                  onClick={() => dropCodes.mutate({ id, codes: [code] }, { onError: tellRefused })}
                >
                  ×
                </Button>
              </li>
            ))}
          </ul>
          <Button
            look="bare"
            className="mt-1"
            onClick={() =>
              saveCsv(`codes ${name}.csv`, [
                ['code', 'uses', 'used'],
                ...codes.map(({ code, uses: most, used }) => [code, most ?? '', used]),
              ])
            }
          >
            Save the codes as a file
          </Button>
        </>
      )}
    </section>
  );
}
