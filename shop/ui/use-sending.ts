import { useState } from 'react';
import { useBase } from '../base';

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

const FAILED = 'That did not work. Please try again in a moment.';
const NOT_HERE = 'This is the shop window: nothing is sent from here.';

/** Sends what a shopper filled in to an address of the public API; what it refuses is told by field. */
export function useSending(path: string): Sending {
  const isWindow = useBase() !== '';
  const [state, setState] = useState<Sending['state']>('open');
  const [problems, setProblems] = useState<Sending['problems']>({});
  const send: Sending['send'] = async (body) => {
    if (isWindow) return setProblems({ '': NOT_HERE });
    setState('sending');
    setProblems({});
    const answer = await fetch(path, {
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
        : { '': title ?? FAILED },
    );
  };
  return { state, problems, send };
}
