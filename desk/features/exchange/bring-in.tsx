import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useBringFile, useImports } from '../../data/exchange';
import { wordsOf } from '../../data/api';
import { Button } from '../../shared/ui/button';
import { useFileDrop } from '../../shared/ui/file-drop';
import { Failed, Loading } from '../../shared/ui/states';
import { SwingTag } from '../../shared/ui/swing-tag';

const dayAndTime = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
});

/** Where files of goods are dropped or pasted, with those that came before. */
export function BringIn() {
  const { data, error } = useImports();
  const bring = useBringFile();
  const navigate = useNavigate();
  const chosen = useRef<HTMLInputElement>(null);
  const [pasted, setPasted] = useState('');
  const take = (file: File | undefined) => {
    if (file) bring.mutate(file, { onSuccess: ({ id }) => void navigate(`/exchange/${id}`) });
  };
  const isOver = useFileDrop(
    () => true,
    ([file]) => take(file),
  );
  return (
    <div className="max-w-3xl">
      <section
        aria-label="Bring a file"
        className={`sheet border-2 border-dashed p-8 text-center ${isOver ? 'border-petrol bg-petrol-soft' : 'border-line'}`}
      >
        <p className="font-display text-lg font-bold">Drop a file with goods here</p>
        <p className="mx-auto mt-1 max-w-prose text-ink-2">
          CSV, TSV, XLSX or JSON, from any shop or spreadsheet; or a ZIP with one of them and its pictures. Nothing is
          changed before you have seen what it will do.
        </p>
        <div className="mt-4 flex justify-center">
          <Button look="main" disabled={bring.isPending} onClick={() => chosen.current?.click()}>
            {bring.isPending ? 'Reading it …' : 'Choose a file'}
          </Button>
        </div>
        <input
          ref={chosen}
          type="file"
          aria-label="A file with goods"
          accept=".csv,.tsv,.txt,.xlsx,.json,.zip"
          className="sr-only"
          tabIndex={-1}
          onChange={({ target }) => {
            take(target.files?.[0]);
            target.value = '';
          }}
        />
        {bring.error && (
          <p role="alert" className="mt-3 text-rose-ink">
            {wordsOf(bring.error)}
          </p>
        )}
      </section>
      <details className="mt-3">
        <summary className="cursor-pointer text-ink-2">Or paste rows from a spreadsheet</summary>
        <textarea
          aria-label="Rows, with their headings first"
          value={pasted}
          rows={5}
          onChange={({ target }) => setPasted(target.value)}
          placeholder={'Title\tSKU\tPrice\nTern kite\tT-1\t24.50'}
          className="mt-2 w-full rounded-lg border border-line bg-sheet p-2 font-mono text-xs"
        />
        <Button
          disabled={pasted.trim() === '' || bring.isPending}
          onClick={() => take(new File([pasted], 'pasted rows.csv', { type: 'text/csv' }))}
        >
          Read these rows
        </Button>
      </details>
      {error && <Failed error={error} />}
      {!data && !error && <Loading rows={3} />}
      {data && data.files.length > 0 && (
        <>
          <h2 className="mb-2 mt-6 font-display text-lg font-bold">Files that came before</h2>
          <ul className="sheet divide-y divide-hair px-4">
            {data.files.map(({ id, name, at, state, outcome }) => (
              <li key={id} className="flex flex-wrap items-baseline gap-x-4 py-2.5">
                <Link to={`/exchange/${id}`} className="min-w-0 break-words font-semibold hover:underline">
                  {name}
                </Link>
                <span className="text-xs text-ink-2">{dayAndTime.format(new Date(at))}</span>
                <span className="ml-auto text-right">
                  {state === 'done' ? (
                    <span className="text-ink-2">{outcome}</span>
                  ) : (
                    <SwingTag look="marigold">not done yet</SwingTag>
                  )}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
