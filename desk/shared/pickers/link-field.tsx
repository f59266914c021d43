import { useState } from 'react';
import { ownAddressSchema, type Link } from '../../../core/model/target';
import { TargetChip } from './target-chip';
import { ChooseTarget } from './choose-target';
import { TargetName } from './target-words';

interface Props {
  label: string;
  link: Link | null;
  change: (link: Link | null) => void;
}

/** Where something leads: found by name, or typed as an address. */
export function LinkField({ label, link, change }: Props) {
  const [typed, setTyped] = useState('');
  if (link?.kind === 'address') return <TargetChip label={link.url} title={label} remove={() => change(null)} />;
  if (link) return <TargetName to={link} title={label} remove={() => change(null)} />;
  const address = ownAddressSchema.safeParse(typed);
  const isAddress = /[/:#@]/.test(typed);
  return (
    <div>
      <ChooseTarget
        label={label}
        choose={change}
        onType={setTyped}
        {...(isAddress &&
          address.success && {
            make: (url: string) => change({ kind: 'address', url: url.trim() }),
            makeWords: 'Lead to',
          })}
      />
      {isAddress && !address.success && (
        <p role="alert" className="mt-1 text-rose-ink">
          {address.error.issues[0]!.message}
        </p>
      )}
    </div>
  );
}
