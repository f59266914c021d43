import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { fileAddress, useLanguageWrites, type BroughtText } from '../../data/languages';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Dialog } from '../../shared/ui/dialog';
import { OneOf } from '../../shared/ui/one-of';
import { openStates } from './states';
import { tellRefused } from '../../data/tell-refused';

interface Brought {
  token: string;
  file: string;
  texts: readonly BroughtText[];
}

const whatWords: Record<BroughtText['what'], string> = {
  new: 'New',
  changed: 'Changed',
  same: 'Same as before',
  refused: 'Refused',
};
const MOST_SHOWN = 300;

/** What a file would change, text by text; each can be left out. */
function Difference({
  brought,
  name,
  close,
  take,
}: {
  brought: Brought;
  name: string;
  close: () => void;
  take: (without: number[]) => void;
}) {
  const [without, setWithout] = useState<ReadonlySet<number>>(new Set());
  const [shown, setShown] = useState<BroughtText['what']>(() =>
    brought.texts.some(({ what }) => what === 'changed') ? 'changed' : 'new',
  );
  const rows = brought.texts.map((text, at) => ({ ...text, at }));
  const of = (what: BroughtText['what']) => rows.filter((row) => row.what === what);
  const taken = rows.filter(({ what, at }) => (what === 'new' || what === 'changed') && !without.has(at)).length;
  return (
    <Dialog title={`${brought.file} for ${name}`} isOpen close={close} width="max-w-3xl">
      <OneOf
        label="Texts"
        choices={(Object.keys(whatWords) as BroughtText['what'][]).map((what) => ({
          value: what,
          label: `${whatWords[what]} ${count(of(what).length)}`,
        }))}
        value={shown}
        choose={(what) => setShown(what as BroughtText['what'])}
      />
      <ul className="mt-3 max-h-[45vh] divide-y divide-hair overflow-y-auto rounded-lg border border-line">
        {of(shown).length === 0 && <li className="p-3 text-ink-2">None.</li>}
        {of(shown)
          .slice(0, MOST_SHOWN)
          .map((row) => (
            <li key={row.at} className="flex gap-3 p-3">
              {(shown === 'new' || shown === 'changed') && (
                <input
                  type="checkbox"
                  aria-label={`Take ${row.words} of ${row.name}`}
                  checked={!without.has(row.at)}
                  onChange={({ target }) => {
                    const next = new Set(without);
                    if (target.checked) next.delete(row.at);
                    else next.add(row.at);
                    setWithout(next);
                  }}
                  className="mt-1 size-4 shrink-0 accent-petrol"
                />
              )}
              <div className="min-w-0 flex-1">
                <p className="text-xs text-ink-2">
                  {row.name} · {row.words}
                </p>
                <p className="break-words text-ink-2">{row.source}</p>
                {row.before !== null && row.what === 'changed' && (
                  <p className="break-words text-rose-ink line-through">{row.before}</p>
                )}
                <p className="break-words">{row.after}</p>
                {row.notes.map((note) => (
                  <p key={note} className="text-xs text-marigold-ink">
                    {note}
                  </p>
                ))}
              </div>
            </li>
          ))}
        {of(shown).length > MOST_SHOWN && (
          <li className="p-3 text-ink-2">And {count(of(shown).length - MOST_SHOWN)} more.</li>
        )}
      </ul>
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={close}>Take nothing</Button>
        <Button look="main" disabled={taken === 0} onClick={() => take([...without])}>
          Take {count(taken)} {taken === 1 ? 'text' : 'texts'}
        </Button>
      </div>
    </Dialog>
  );
}

/** Texts of a language as a file for a translator, out and in. */
export function Files({ locale, name }: { locale: string; name: string }) {
  const [isOpen, setOpen] = useState(false);
  const [wanted, setWanted] = useState<'open' | 'all'>('open');
  const [brought, setBrought] = useState<Brought | null>(null);
  const { bring, take } = useLanguageWrites();
  const input = useRef<HTMLInputElement>(null);
  const states = wanted === 'open' ? openStates : [];
  const read = async (file: File) => {
    const text = await file.text();
    bring.mutate(
      { locale, name: file.name, text },
      {
        onSuccess: ({ token, texts }) => {
          setOpen(false);
          setBrought({ token, texts, file: file.name });
        },
        onError: tellRefused,
      },
    );
  };
  const link = 'rounded-lg border border-line bg-sheet px-3.5 py-[7px] font-semibold hover:border-ink-3';
  return (
    <>
      <Button look="bare" onClick={() => setOpen(true)}>
        Files
      </Button>
      <Dialog title={`${name} for a translator`} isOpen={isOpen} close={() => setOpen(false)}>
        <OneOf
          label="Which texts"
          choices={[
            { value: 'open', label: 'What is left to do' },
            { value: 'all', label: 'All texts' },
          ]}
          value={wanted}
          choose={(value) => setWanted(value as 'open' | 'all')}
        />
        <div className="mt-3 flex flex-wrap gap-2">
          <a href={fileAddress(locale, 'xliff', states)} download className={link}>
            Take out as XLIFF 2.1
          </a>
          <a href={fileAddress(locale, 'csv', states)} download className={link}>
            Take out as CSV
          </a>
        </div>
        <hr className="my-4 border-line" />
        <p className="mb-2 text-ink-2">
          Bring the file back when it is translated. You see what it changes before anything is kept.
        </p>
        <input
          ref={input}
          type="file"
          accept=".xlf,.xliff,.csv,.txt"
          aria-label="File with translations"
          className="sr-only"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            if (file) void read(file);
            target.value = '';
          }}
        />
        <Button look="main" disabled={bring.isPending} onClick={() => input.current?.click()}>
          {bring.isPending ? 'Reading …' : 'Bring a file in'}
        </Button>
      </Dialog>
      {brought && (
        <Difference
          brought={brought}
          name={name}
          close={() => setBrought(null)}
          take={(without) =>
            take.mutate(
              { locale, token: brought.token, without },
              {
                onSuccess: ({ kept }) => {
                  setBrought(null);
                  toast(`Took ${count(kept)} texts. One undo takes them back.`);
                },
                onError: tellRefused,
              },
            )
          }
        />
      )}
    </>
  );
}
