import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import { Link } from 'react-router';
import { routes } from '../../../../contract';
import type { AnswerOf, BodyInput } from '../../../../contract/route';
import { call, CallError, wordsOf } from '../../../data/api';
import { useAutosave, useText } from '../../../shared/autosave/use-autosave';
import { goodsAddress } from '../../../shared/goods-address';
import { Button } from '../../../shared/ui/button';
import { TextArea, TextField } from '../../../shared/ui/field';
import { SaveStateWords } from '../../../shared/ui/save-state';
import { Failed, Loading } from '../../../shared/ui/states';
import { emptied } from '../../../shared/ui/emptied';

const KEY = ['opening'];

type Opening = AnswerOf<typeof routes.shopfront.opening>;
type Wanted = BodyInput<typeof routes.shopfront.setOpening>;

const places = { review: '/review', goods: '/goods', shopfront: '/shopfront', menu: '/shopfront?view=menu' };

/** Where in the desk something that is missing is mended. */
const mendAt = ({ at, rule }: Opening['missing'][number]) => (rule ? goodsAddress(...rule.of) : places[at]);

/** What shoppers would miss if the shop were open as it is. */
function StillMissing({ missing }: Pick<Opening, 'missing'>) {
  if (missing.length === 0) return null;
  return (
    <ul aria-label="Still missing" className="rounded-lg bg-marigold-soft px-3 py-2">
      {missing.map((each) => (
        <li key={each.words}>
          <Link to={mendAt(each)} className="underline">
            {each.words}
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** Whether shoppers come in. Unlike the rest it holds at once, without an edition. */
export function OpeningFields() {
  const { data, error, refetch } = useQuery({ queryKey: KEY, queryFn: () => call(routes.shopfront.opening) });
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  return data ? <Fields opening={data} /> : <Loading rows={2} />;
}

function Fields({ opening }: { opening: Opening }) {
  const client = useQueryClient();
  const set = async (body: Wanted) => {
    const answer = await call(routes.shopfront.setOpening, { body });
    client.setQueryData(KEY, answer);
    // It is the last step of setting a shop up.
    void client.invalidateQueries({ queryKey: ['set-up'] });
    return answer;
  };
  const shown = useCallback((key: string): unknown => opening[key as keyof Opening], [opening]);
  const save = useAutosave(shown, 0, {
    save: async ({ values }) => {
      const { message } = await set(values);
      return { saved: { message } };
    },
    keyOf: (path) => String(path[0]),
  });
  const message = useText(save, 'message');
  const { mutate, error: refused } = useMutation({ mutationFn: set });
  const [password, setPassword] = useState('');
  const problem = refused instanceof CallError ? refused.errors.find(({ path }) => path[0] === 'password') : undefined;
  return (
    <section aria-labelledby="opening" className="flex flex-col gap-3">
      <h3 id="opening" className="font-display text-[15px] font-bold">
        {opening.isClosed ? 'The shop is closed' : 'The shop is open'}
      </h3>
      <StillMissing missing={opening.missing} />
      <TextArea label="What shoppers read while it is closed" rows={2} maxLength={1_000} {...message} />
      <div className="flex flex-wrap items-end gap-2">
        <TextField
          label={opening.hasPassword ? 'New password for visitors' : 'Password for visitors'}
          hint="Visitors who know it can still look around."
          autoComplete="off"
          value={password}
          error={problem?.message}
          onChange={(event) => setPassword(event.target.value)}
        />
        <Button
          className="mb-5"
          disabled={password === ''}
          onClick={() => mutate({ password }, { onSuccess: () => setPassword(emptied(password)) })}
        >
          Set password
        </Button>
        {opening.hasPassword && (
          <Button look="bare" className="mb-5" onClick={() => mutate({ password: null })}>
            Remove password
          </Button>
        )}
      </div>
      {refused && !problem && (
        <p role="alert" className="text-rose-ink">
          {wordsOf(refused)}
        </p>
      )}
      <div className="flex items-center gap-3">
        <Button look={opening.isClosed ? 'live' : 'plain'} onClick={() => mutate({ isClosed: !opening.isClosed })}>
          {opening.isClosed ? 'Open the shop' : 'Close the shop'}
        </Button>
        <span className="text-xs text-ink-2">This takes effect at once; you need not put anything live.</span>
      </div>
      <SaveStateWords save={save} />
    </section>
  );
}
