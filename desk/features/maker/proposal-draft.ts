import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from 'zod';
import { proposedSchema, type Proposed, type ProposedOption } from '../../../core/model/proposal';

/** An option of a new product as it is typed. */
export interface TypedOption {
  name: string;
  /** its values, with commas between */
  values: string;
}

export interface Draft extends Proposed {
  note: string;
  options: readonly TypedOption[];
}

export const emptyDraft: Draft = { product: {}, variants: {}, pictures: [], texts: {}, note: '', options: [] };

const keyOf = (id: string) => `dispona.proposal.${id}`;

const typedOptions = z.array(z.object({ name: z.string(), values: z.string() }));

/** What was typed of a proposal and not sent; in another form it is of no use any more. */
function stored(id: string): Draft | null {
  try {
    const read = JSON.parse(localStorage.getItem(keyOf(id)) ?? 'null') as Draft | null;
    if (!read) return null;
    const { note, options = [], ...proposed } = read;
    return { ...proposedSchema.parse(proposed), note: String(note), options: typedOptions.parse(options) };
  } catch {
    return null;
  }
}

/** The options that were typed; a line with nothing in it is none. */
export const optionsOf = ({ options }: Draft): ProposedOption[] =>
  options
    .map(({ name, values }) => ({
      name: name.trim(),
      values: values
        .split(/[,\n]/)
        .map((value) => value.trim())
        .filter(Boolean),
    }))
    .filter(({ name, values }) => name !== '' || values.length > 0);

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
