import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { bringShopBack } from '../data/backups';
import { Button } from '../shared/ui/button';
import { TextField } from '../shared/ui/field';
import { refusalOf } from '../data/tell-refused';

/** The other way to begin: with the shop of a backup. */
export function BringBack({ needsCode }: { needsCode: boolean }) {
  const client = useQueryClient();
  const chosen = useRef<HTMLInputElement>(null);
  const [code, setCode] = useState('');
  const [sent, setSent] = useState<number>();
  const [problem, setProblem] = useState('');
  const take = async (file: File | undefined) => {
    if (!file) return;
    setProblem('');
    setSent(0);
    try {
      await bringShopBack(file, code, setSent);
      await client.invalidateQueries({ queryKey: ['session'] });
    } catch (error) {
      setProblem(refusalOf(error));
      setSent(undefined);
    }
  };
  return (
    <section aria-label="Bring a shop back" className="mt-4">
      <p className="mb-2 text-ink-2">
        Already have a backup of a shop? Bring it back with its goods, orders and people.
      </p>
      {needsCode && <TextField label="Code for it" value={code} onChange={({ target }) => setCode(target.value)} />}
      <Button disabled={sent !== undefined} onClick={() => chosen.current?.click()}>
        {sent === undefined
          ? 'Choose the backup'
          : sent < 1
            ? `Sending it: ${Math.round(sent * 100)} %`
            : 'Checking it and putting it in place …'}
      </Button>
      <input
        ref={chosen}
        type="file"
        aria-label="A backup"
        accept=".zip"
        className="sr-only"
        tabIndex={-1}
        onChange={({ target }) => {
          void take(target.files?.[0]);
          target.value = '';
        }}
      />
      {problem && (
        <p role="alert" className="mt-2 text-rose-ink">
          {problem}
        </p>
      )}
    </section>
  );
}
