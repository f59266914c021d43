import { useCallback, useEffect, useRef, useState } from 'react';
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

interface Drafting {
  draft: Draft;
  change: (change: (draft: Draft) => Draft) => void;
  /** Lets go of what was sent. False, and nothing is let go, where more was typed since. */
  forget: (sent: Draft) => boolean;
}

/**
 * What is typed of a proposal. This browser keeps it until it is sent, so that a closed tab loses nothing; two tabs of one
 * product type into the same. `first`: what it begins with where nothing is kept.
 */
export function useDraft(id: string, first: Draft): Drafting {
  const [draft, setDraft] = useState<Draft>(() => stored(id) ?? first);
  const latest = useRef(draft);
  const show = useCallback((next: Draft) => {
    latest.current = next;
    setDraft(next);
  }, []);
  const begin = useRef(first);
  begin.current = first;
  useEffect(() => {
    const onStorage = ({ key }: StorageEvent) => {
      if (key === keyOf(id)) show(stored(id) ?? begin.current);
    };
    window.addEventListener('storage', onStorage);
    return () => window.removeEventListener('storage', onStorage);
  }, [id, show]);
  const change: Drafting['change'] = (next) => {
    // Another tab may have typed into other fields a moment ago.
    show(next(stored(id) ?? latest.current));
    try {
      localStorage.setItem(keyOf(id), JSON.stringify(latest.current));
    } catch {
      // A browser that keeps nothing still has it on screen.
    }
  };
  const forget: Drafting['forget'] = (sent) => {
    if (JSON.stringify(latest.current) !== JSON.stringify(sent)) return false;
    localStorage.removeItem(keyOf(id));
    return true;
  };
  return { draft, change, forget };
}
