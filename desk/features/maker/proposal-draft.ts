import { useEffect, useState } from 'react';
import { proposedSchema, type Proposed } from '../../../core/model/proposal';

export interface Draft extends Proposed {
  note: string;
}

export const emptyDraft: Draft = { product: {}, variants: {}, pictures: [], texts: {}, note: '' };

const keyOf = (id: string) => `dispona.proposal.${id}`;

/** What was typed of a proposal and not sent; in another form it is of no use any more. */
function stored(id: string): Draft | null {
  try {
    const read = JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null') as Draft | null;
    if (!read) return null;
    const { note, ...proposed } = read;
    return { ...proposedSchema.parse(proposed), note: String(note) };
  } catch {
    return null;
  }
}

/**
 * What is typed of a proposal. This browser keeps it until it is sent, so that a closed tab loses nothing. `first`: what it begins
 * with where nothing is kept.
 */
export function useDraft(id: string, first: Draft): [Draft, (change: (draft: Draft) => Draft) => void, () => void] {
  const [draft, setDraft] = useState<Draft>(() => stored(id) ?? first);
  const [isTouched, setTouched] = useState(false);
  useEffect(() => {
    if (isTouched) localStorage.setItem(keyOf(id), JSON.stringify(draft));
  }, [id, draft, isTouched]);
  const change = (next: (before: Draft) => Draft) => {
    setTouched(true);
    setDraft(next);
  };
  const forget = () => {
    setTouched(false);
    localStorage.removeItem(keyOf(id));
  };
  return [draft, change, forget];
}
