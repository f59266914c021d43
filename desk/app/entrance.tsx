import { lazy, Suspense, useState } from 'react';
import { useForm } from 'react-hook-form';
import { CallError, wordsOf } from '../data/api';
import { useEnter } from '../data/session';
import { Button } from '../shared/ui/button';
import { TextField } from '../shared/ui/field';
import { EntranceSheet } from './entrance-sheet';

const BringBack = lazy(async () => ({ default: (await import('./bring-back')).BringBack }));

interface Form {
  code: string;
  shopName: string;
  name: string;
  email: string;
  password: string;
}

/** The way in: sign in, or, for a shop that has nobody yet, make the first person. */
export function Entrance({ needsSetup, needsCode }: { needsSetup: boolean; needsCode: boolean }) {
  const { signIn, setUp } = useEnter();
  const { register, handleSubmit, setError, formState } = useForm<Form>({
    defaultValues: { code: '', shopName: '', name: '', email: '', password: '' },
  });
  const [problem, setProblem] = useState<string | null>(null);
  const submit = handleSubmit(async (form) => {
    setProblem(null);
    try {
      if (needsSetup) await setUp.mutateAsync(form);
      else await signIn.mutateAsync(form);
    } catch (error) {
      const errors = error instanceof CallError ? error.errors : [];
      for (const { path, message } of errors) setError(path[0] as keyof Form, { message });
      if (errors.length === 0) setProblem(wordsOf(error));
    }
  });
  const field = (name: keyof Form, label: string, type: string, autoComplete: string, hint?: string) => (
    <TextField
      {...register(name)}
      label={label}
      type={type}
      autoComplete={autoComplete}
      hint={hint}
      error={formState.errors[name]?.message}
    />
  );
  return (
    <EntranceSheet title={needsSetup ? 'Begin your shop' : 'Sign in'}>
      <form onSubmit={(event) => void submit(event)} noValidate className="flex flex-col gap-4">
        {needsCode && field('code', 'Code', 'text', 'off', 'It was printed where Dispona was started.')}
        {needsSetup && field('shopName', 'Name of the shop', 'text', 'organization')}
        {needsSetup && field('name', 'Your name', 'text', 'name')}
        {field('email', 'E-mail', 'email', 'username')}
        {field(
          'password',
          'Password',
          'password',
          needsSetup ? 'new-password' : 'current-password',
          needsSetup ? 'At least 12 characters: three or four words that nobody puts together are best.' : undefined,
        )}
        {problem && (
          <p role="alert" className="text-rose-ink">
            {problem}
          </p>
        )}
        <Button look="main" type="submit" disabled={formState.isSubmitting} className="justify-center">
          {needsSetup ? 'Begin' : 'Sign in'}
        </Button>
      </form>
      {needsSetup && (
        <Suspense>
          <BringBack needsCode={needsCode} />
        </Suspense>
      )}
    </EntranceSheet>
  );
}
