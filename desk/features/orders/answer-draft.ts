import { useState } from 'react';

const keyOf = (id: string) => `dispona.answer.${id}`;

/** An answer that is being written, kept in this browser until it is sent. */
export function useAnswerDraft(id: string): [text: string, write: (text: string) => void, forget: () => void] {
  const [text, setText] = useState(() => localStorage.getItem(keyOf(id)) ?? '');
  return [
    text,
    (next) => {
      localStorage.setItem(keyOf(id), next);
      setText(next);
    },
    () => {
      localStorage.removeItem(keyOf(id));
      setText('');
    },
  ];
}
