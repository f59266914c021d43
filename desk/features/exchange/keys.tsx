import { useState } from 'react';
import { keyScopes, type KeyScope } from '../../../contract/route';
import { CallError, wordsOf } from '../../data/api';
import { useKeys, useKeyWrites } from '../../data/elsewhere';
import { Button } from '../../shared/ui/button';
import { useConfirm } from '../../shared/ui/confirm';
import { CopiedText } from '../../shared/ui/copied-text';
import { TextField } from '../../shared/ui/field';
import { Failed, Loading } from '../../shared/ui/states';
import { Tick } from '../../shared/ui/tick';
import { tellRefused } from '../../data/tell-refused';
import { emptied } from '../../shared/ui/emptied';

const scopeWords: Record<KeyScope, string> = {
  goods: 'goods, with costs',
  groups: 'categories, collections, brands and tags',
  stock: 'movements of stock',
  orders: 'orders, with names and addresses',
};
const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' });

/** Keys with which programs read what the shop holds. */
export function Keys() {
  const { data, error } = useKeys();
  const { add, drop } = useKeyWrites();
  const [ask, dialog] = useConfirm();
  const [name, setName] = useState('');
  const [scopes, setScopes] = useState<readonly KeyScope[]>(['goods']);
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [made, setMade] = useState('');
  if (error instanceof CallError && error.is('owner'))
    return <p className="text-ink-2">Keys are made by the owners of the shop.</p>;
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={3} />;
  const make = () =>
    add.mutate(
      { name, scopes: [...scopes] },
      {
        onSuccess: ({ key }) => {
          setMade(key);
          setName(emptied(name));
          setProblems({});
        },
        onError: (failure) =>
          setProblems(
            failure instanceof CallError && failure.errors.length > 0
              ? Object.fromEntries(failure.errors.map(({ path, message }) => [String(path[0]), message]))
              : { name: wordsOf(failure) },
          ),
      },
    );
  return (
    <div className="grid max-w-5xl items-start gap-5 lg:grid-cols-[1fr_22rem]">
      {dialog}
      <section aria-label="Keys" className="min-w-0">
        {made && (
          <div role="status" className="sheet mb-4 border-2 border-marigold p-4">
            <p className="mb-2 font-semibold">This is the key. It is shown only now: copy it before you go on.</p>
            <CopiedText label="The new key" text={made} />
          </div>
        )}
        {data.keys.length === 0 ? (
          <p className="sheet p-6 text-ink-2">
            No program reads here yet. A key lets one read, and change nothing: a stock program, a shipping desk, a
            script of your own. What shoppers see needs no key.
          </p>
        ) : (
          <ul className="sheet divide-y divide-hair px-4">
            {data.keys.map((key) => (
              <li key={key.id} className="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2.5">
                <strong className="break-words">{key.name}</strong>
                <code className="text-xs text-ink-2">{key.begins}…</code>
                <span className="text-ink-2">reads {key.scopes.map((scope) => scopeWords[scope]).join('; ')}</span>
                <span className="text-xs text-ink-2">
                  {key.used ? `last used on ${day.format(new Date(key.used))}` : 'never used'}
                </span>
                <button
                  type="button"
                  className="ml-auto text-rose-ink hover:underline"
                  onClick={() =>
                    ask({
                      title: `Take back the key of “${key.name}”?`,
                      detail: 'The program that has it reads nothing from now on. This cannot be undone.',
                      doIt: 'Take it back',
                      run: () => drop.mutate(key.id, { onError: tellRefused }),
                    })
                  }
                >
                  Take back
                </button>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section aria-label="A new key" className="sheet flex flex-col gap-3 p-4">
        <h2 className="font-display text-lg font-bold">A new key</h2>
        <TextField
          label="For which program"
          value={name}
          error={problems.name}
          onChange={({ target }) => setName(target.value)}
        />
        <fieldset>
          <legend className="font-semibold">It may read</legend>
          {keyScopes.map((scope) => (
            <Tick
              key={scope}
              label={scopeWords[scope]}
              checked={scopes.includes(scope)}
              change={(is) => setScopes(is ? [...scopes, scope] : scopes.filter((each) => each !== scope))}
            />
          ))}
          {problems.scopes && (
            <p role="alert" className="text-rose-ink">
              {problems.scopes}
            </p>
          )}
        </fieldset>
        <Button look="main" className="self-start" disabled={add.isPending} onClick={make}>
          Make the key
        </Button>
        <p className="text-xs text-ink-2">
          Programs send it as <code>Authorization: Bearer …</code>. What they can ask is told at{' '}
          <a href="/api/openapi.json" className="underline">
            /api/openapi.json
          </a>
          .
        </p>
      </section>
    </div>
  );
}
