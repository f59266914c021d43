import { useState } from 'react';
import { useIsWindow } from '../base';
import { inTongue, say } from '../tongue';

interface Refusal {
  title?: string;
  errors?: { path: (string | number)[]; message: string }[];
}

export interface Sending {
  state: 'open' | 'sending' | 'done';
  /** what is wrong, by field; under "" what belongs to none */
  problems: Readonly<Record<string, string>>;
  send: (body: Readonly<Record<string, string | undefined>>) => Promise<void>;
}

/** Sends what a shopper filled in to an address of the public API; what it refuses is told by field. */
export function useSending(path: string): Sending {
  const isWindow = useIsWindow();
  const [state, setState] = useState<Sending['state']>('open');
  const [problems, setProblems] = useState<Sending['problems']>({});
  const send: Sending['send'] = async (body) => {
    if (isWindow) return setProblems({ '': say('frame.onlyWindow') });
    setState('sending');
    setProblems({});
    const answer = await fetch(inTongue(path), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }).catch(() => undefined);
    if (answer?.ok) return setState('done');
    setState('open');
    const { title, errors = [] } = ((await answer?.json().catch(() => undefined)) ?? {}) as Refusal;
    setProblems(
      errors.length > 0
        ? Object.fromEntries(errors.map(({ path: at, message }) => [String(at[0] ?? ''), message]))
        : { '': title ?? say('frame.failed') },
    );
  };
  return { state, problems, send };
}
