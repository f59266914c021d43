import { peopleRoutes } from '../../contract/people';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { call, CallError, wordsOf } from '../data/api';
import { BASE } from '../data/base';
import { useEnter } from '../data/session';
import { Button } from '../shared/ui/button';
import { TextField } from '../shared/ui/field';
import { Loading } from '../shared/ui/states';
import { EntranceSheet } from './entrance-sheet';

/** The way in for somebody who was invited: a name and a password of their own; for who is here already, another password. */
export function Join({ code }: { code: string }) {
  const { join } = useEnter();
  const [form, setForm] = useState({ name: '', password: '' });
  const { data, error } = useQuery({
    queryKey: ['session', 'invited', code],
    queryFn: () => call(peopleRoutes.invited, { query: { code } }),
    retry: false,
  });
  if (error)
    return (
      <EntranceSheet title="This link does not work">
        <p>{wordsOf(error)}</p>
        <p className="mt-3">
          <a href={`${BASE}/`} className="text-petrol underline">
            Sign in instead
          </a>
        </p>
      </EntranceSheet>
    );
  if (!data) return <Loading rows={3} />;
  const errors = join.error instanceof CallError ? join.error.errors : [];
  const errorAt = (field: string) => errors.find(({ path }) => path[0] === field)?.message;
  const submit = () =>
    join.mutate(
      { code, ...form },
      // The code has done its work, and is not to stay in the address.
      { onSuccess: () => window.history.replaceState(null, '', `${BASE}/`) },
    );
  return (
    <EntranceSheet title={data.isHere ? 'Choose a new password' : `Help with ${data.shopName}`}>
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <p className="text-ink-2">You sign in as {data.email}.</p>
        {!data.isHere && (
          <TextField
            label="Your name"
            autoComplete="name"
            value={form.name}
            error={errorAt('name')}
            onChange={({ target }) => setForm({ ...form, name: target.value })}
          />
        )}
        <TextField
          label={data.isHere ? 'Your new password' : 'A password'}
          type="password"
          autoComplete="new-password"
          hint="At least 12 characters."
          value={form.password}
          error={errorAt('password')}
          onChange={({ target }) => setForm({ ...form, password: target.value })}
        />
        {join.error && errors.length === 0 && (
          <p role="alert" className="text-rose-ink">
            {wordsOf(join.error)}
          </p>
        )}
        <Button type="submit" look="main" disabled={join.isPending}>
          Come in
        </Button>
      </form>
    </EntranceSheet>
  );
}
