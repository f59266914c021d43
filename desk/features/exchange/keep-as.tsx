import { useState } from 'react';
import { Button } from '../../shared/ui/button';
import { emptied } from '../../shared/ui/emptied';

interface Props {
  label: string;
  placeholder: string;
  isBusy: boolean;
  /** `done` empties the field */
  keep: (name: string, done: () => void) => void;
}

/** Keeps something under a name that is typed. */
export function KeepAs({ label, placeholder, isBusy, keep }: Props) {
  const [name, setName] = useState('');
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '') keep(name, () => setName(emptied(name)));
      }}
    >
      <input
        aria-label={label}
        placeholder={placeholder}
        value={name}
        maxLength={80}
        onChange={({ target }) => setName(target.value)}
        className="field !w-56"
      />
      <Button type="submit" disabled={name.trim() === '' || isBusy}>
        Keep
      </Button>
    </form>
  );
}
