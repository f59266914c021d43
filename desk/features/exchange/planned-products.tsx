import { useState } from 'react';
import type { ImportAnswer, ImportChanges, ImportPreview } from '../../data/exchange';
import { useUnsaved } from '../../shared/autosave/unsaved';
import { Empty } from '../../shared/ui/states';
import { SwingTag } from '../../shared/ui/swing-tag';
import { stateWords } from './state-words';

type Planned = ImportPreview['products'][number];

interface MendProps {
  problem: Planned['problems'][number];
  heading: string;
  line: number;
  mend: (text: string) => void;
}

/** A cell that cannot be read: what is wrong with it, and a field to put it right. */
function Mend({ problem, heading, line, mend }: MendProps) {
  // What is typed stays in the field, whatever is told of the file meanwhile.
  const [typed, setTyped] = useState<string>();
  const text = typed ?? problem.text;
  const tellUnsaved = useUnsaved();
  const done = () => {
    tellUnsaved(null);
    if (text !== problem.text) mend(text);
  };
  const type = (next: string) => {
    setTyped(next);
    tellUnsaved({ problems: [], isOnItsWay: true });
  };
  return (
    <span className="flex flex-wrap items-center gap-2">
      <input
        aria-label={`${heading}, row ${line}`}
        aria-invalid="true"
        value={text}
        onChange={({ target }) => type(target.value)}
        onBlur={done}
        onKeyDown={({ key }) => {
          if (key === 'Enter') done();
        }}
        className="w-44 rounded-md border border-rose bg-sheet px-2 py-0.5"
      />
      <span className="text-rose-ink">{problem.message}</span>
    </span>
  );
}

interface Props {
  file: ImportAnswer;
  preview: ImportPreview;
  set: (changes: ImportChanges) => void;
}

const shownLines = (lines: readonly number[]) =>
  lines.length === 1 ? `row ${lines[0]}` : `rows ${lines[0]}–${lines.at(-1)}`;

/** What a file does to each product, cell by cell, with what is wrong to be mended in place. */
export function PlannedProducts({ file: { columns, settings }, preview: { products }, set }: Props) {
  if (products.length === 0)
    return (
      <Empty title="Nothing changes">Everything in this file is in the shop already, just as it stands there.</Empty>
    );
  // As a spreadsheet counts them.
  const lineOf = (row: number) => row + (settings.hasHead ? 2 : 1);
  const heading = (place: number) => columns[place]?.heading ?? '';
  return (
    <ul className="mt-3 flex max-w-5xl flex-col gap-2">
      {products.map(({ title, state, rows, cells, problems }) => (
        <li key={rows.join()} className="sheet px-4 py-3">
          <div className="flex flex-wrap items-baseline gap-x-3">
            <strong className="min-w-0 break-words">{title || 'Without a title'}</strong>
            <span className="text-xs text-ink-2">{shownLines(rows.map(lineOf))}</span>
            <SwingTag look={stateWords[state].look}>{stateWords[state].words}</SwingTag>
            {state !== 'same' && state !== 'passed' && (
              <button
                type="button"
                className="ml-auto text-ink-2 hover:underline"
                onClick={() => set({ leavesOut: rows })}
              >
                Leave out
              </button>
            )}
          </div>
          {(problems.length > 0 || cells.length > 0) && (
            <dl className="mt-1.5 grid grid-cols-[minmax(7rem,max-content)_1fr] gap-x-4 gap-y-1">
              {problems.map((problem) => (
                <div key={`${problem.row}:${problem.column}`} className="contents">
                  <dt className="font-semibold text-rose-ink">
                    {problem.column === null ? `Row ${lineOf(problem.row)}` : heading(problem.column)}
                  </dt>
                  <dd>
                    {problem.column === null ? (
                      <span className="text-rose-ink">{problem.message}</span>
                    ) : (
                      <Mend
                        problem={problem}
                        heading={heading(problem.column)}
                        line={lineOf(problem.row)}
                        mend={(text) => set({ mends: { [`${problem.row}:${problem.column}`]: text } })}
                      />
                    )}
                  </dd>
                </div>
              ))}
              {cells.slice(0, 24).map(({ row, column, was, will }) => (
                <div key={`${row}:${column}`} className="contents">
                  <dt className="text-ink-2">{heading(column)}</dt>
                  <dd className="min-w-0 break-words">
                    {was !== '' && (
                      <>
                        <del className="text-ink-2">{was.slice(0, 300)}</del> <span aria-hidden="true">→</span>{' '}
                      </>
                    )}
                    <ins className="font-semibold no-underline">{will === '' ? 'empty' : will.slice(0, 300)}</ins>
                  </dd>
                </div>
              ))}
            </dl>
          )}
          {cells.length > 24 && <p className="mt-1 text-xs text-ink-2">and {cells.length - 24} more cells</p>}
        </li>
      ))}
    </ul>
  );
}
