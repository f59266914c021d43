import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { routes } from '../../../contract';
import type { BodyInput } from '../../../contract/route';
import { call, CallError, wordsOf } from '../../data/api';
import { Button } from '../../shared/ui/button';
import { TextArea, TextField } from '../../shared/ui/field';
import { Failed, Loading } from '../../shared/ui/states';

const SAVED_AFTER_MS = 600;
const KEY = ['opening'];

type Wanted = BodyInput<typeof routes.shopfront.setOpening>;

/** Keeps a text that is being typed, and saves it a moment after the last key, or when it is left. */
function useTyped(shown: string, save: (text: string) => void) {
  const [typed, setTyped] = useState<string | null>(null);
  const latest = useRef<{ typed: string | null; save: (text: string) => void }>({ typed, save });
  useEffect(() => {
    latest.current = { typed, save };
  });
  useEffect(() => {
    if (typed === null) return;
    const timer = setTimeout(() => {
      latest.current.save(typed);
      setTyped(null);
    }, SAVED_AFTER_MS);
    return () => clearTimeout(timer);
  }, [typed]);
  useEffect(
    () => () => {
      if (latest.current.typed !== null) latest.current.save(latest.current.typed);
    },
    [],
  );
  return { value: typed ?? shown, type: setTyped };
}

/** Whether shoppers come in. Unlike the rest it holds at once, without an edition. */
export function OpeningFields() {
  const client = useQueryClient();
  const { data, error, refetch } = useQuery({ queryKey: KEY, queryFn: () => call(routes.shopfront.opening) });
  const { mutate, error: refused } = useMutation({
    mutationFn: (body: Wanted) => call(routes.shopfront.setOpening, { body }),
    onMutate: (body) =>
      client.setQueryData(
        KEY,
        (before: typeof data) => before && { ...before, ...(body.message !== undefined && { message: body.message }) },
      ),
    onSuccess: (opening) => client.setQueryData(KEY, opening),
  });
  const [password, setPassword] = useState('');
  const message = useTyped(data?.message ?? '', (text) => mutate({ message: text }));
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={2} />;
  const atField = refused instanceof CallError ? refused.errors : [];
  return (
    <section aria-labelledby="opening" className="flex flex-col gap-3">
      <h3 id="opening" className="font-display text-[15px] font-bold">
        {data.isClosed ? 'The shop is closed' : 'The shop is open'}
      </h3>
      {data.missing.length > 0 && (
        <ul aria-label="Still missing" className="rounded-lg bg-marigold-soft px-3 py-2">
          {data.missing.map(({ words, to }) => (
            <li key={words}>
              <Link to={to} className="underline">
                {words}
              </Link>
            </li>
          ))}
        </ul>
      )}
      <TextArea
        label="What shoppers read while it is closed"
        rows={2}
        maxLength={1_000}
        value={message.value}
        onChange={(event) => message.type(event.target.value)}
      />
      <div className="flex flex-wrap items-end gap-2">
        <TextField
          label={data.hasPassword ? 'Another password for visitors' : 'Password for visitors'}
          hint="They come in with it while the shop is closed."
          type="text"
          autoComplete="off"
          value={password}
          error={atField.find(({ path }) => path[0] === 'password')?.message}
          onChange={(event) => setPassword(event.target.value)}
        />
        <Button
          className="mb-5"
          disabled={password === ''}
          onClick={() => mutate({ password }, { onSuccess: () => setPassword('') })}
        >
          Set it
        </Button>
        {data.hasPassword && (
          <Button look="bare" className="mb-5" onClick={() => mutate({ password: null })}>
            No password
          </Button>
        )}
      </div>
      {refused && atField.length === 0 && (
        <p role="alert" className="text-rose-ink">
          {wordsOf(refused)}
        </p>
      )}
      <div className="flex items-center gap-3">
        <Button look={data.isClosed ? 'live' : 'plain'} onClick={() => mutate({ isClosed: !data.isClosed })}>
          {data.isClosed ? 'Open the shop' : 'Close the shop'}
        </Button>
        <span className="text-xs text-ink-2">This holds at once, without an edition.</span>
      </div>
    </section>
  );
}
