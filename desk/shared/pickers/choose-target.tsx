import { useState } from 'react';
import type { Target } from '../../../core/model/target';
import { fold } from '../../../core/shared/fold';
import { Choose } from '../ui/choose';
import { targetOf, useTargets } from './targets';

interface Props {
  label: string;
  /** kinds that are offered; all when absent */
  kinds?: readonly Target['kind'][];
  choose: (target: Target) => void;
  make?: (typed: string) => void;
  makeWords?: string;
  onType?: (typed: string) => void;
}

/** Finds something of the shop by its name: a group, a page or a product. */
export function ChooseTarget({ label, kinds, choose, make, makeWords, onType }: Props) {
  const [typed, setTyped] = useState('');
  const { choices } = useTargets(typed);
  const wanted = fold(typed).trim();
  const offered = choices.filter(
    ({ value, label: name }) =>
      (!kinds || kinds.includes(targetOf(value).kind)) && (value.startsWith('product:') || fold(name).includes(wanted)),
  );
  return (
    <Choose
      label={label}
      className="w-full"
      choices={offered}
      onType={(now) => {
        setTyped(now);
        onType?.(now);
      }}
      choose={(key) => choose(targetOf(key))}
      make={make}
      makeWords={makeWords}
    />
  );
}
