import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { CallError, wordsOf } from '../../data/api';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { TextField } from '../ui/field';
import { useEnter } from '../../data/session';

interface Form {
  old: string;
  next: string;
}

/** Another password for whoever is signed in. */
export function ChangePassword({ close }: { close: () => void }) {
  const { changePassword } = useEnter();
  const { register, handleSubmit, setError, formState } = useForm<Form>({ defaultValues: { old: '', next: '' } });
  const [problem, setProblem] = useState<string | null>(null);
  const submit = handleSubmit(async (form) => {
    setProblem(null);
    try {
      await changePassword.mutateAsync(form);
      toast('Your password is changed. You are signed out everywhere else.');
      close();
    } catch (error) {
      const errors = error instanceof CallError ? error.errors : [];
      for (const { path, message } of errors) setError(path[0] as keyof Form, { message });
      if (errors.length === 0) setProblem(wordsOf(error));
    }
  });
  return (
    <Dialog title="Change your password" isOpen close={close}>
      <form onSubmit={(event) => void submit(event)} noValidate className="flex flex-col gap-4">
        <TextField
          {...register('old')}
          label="Your password now"
          type="password"
          autoComplete="current-password"
          error={formState.errors.old?.message}
        />
        <TextField
          {...register('next')}
          label="New password"
          type="password"
          autoComplete="new-password"
          hint="At least 12 characters: three or four words that nobody puts together are best."
          error={formState.errors.next?.message}
        />
        {problem && (
          <p role="alert" className="text-rose-ink">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <Button onClick={close}>Cancel</Button>
          <Button look="main" type="submit" disabled={formState.isSubmitting}>
            Change the password
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
