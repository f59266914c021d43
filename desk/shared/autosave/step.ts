/** What is typed and not yet shown as saved, and what has become of it. No timers, no network: those are in autosave.ts. */

export type Values = Readonly<Record<string, unknown>>;

export interface Draft {
  /** as it was typed */
  value: unknown;
  /** what stood in the field when this began to be typed over it; a write names it, so that others' work is not lost */
  was: unknown;
  /** again: refused before, and tried once more because something beside it was saved since */
  state: 'waiting' | 'sent' | 'saved' | 'refused' | 'again';
  /** the cursor is in it: nothing replaces what was typed */
  isHeld: boolean;
  /** why it was refused */
  message?: string;
  /** refused because somebody else changed the same field: what stands there now */
  clash?: { theirs: unknown };
  /** what was typed cannot be read as a value: it stays as it is, and is never sent */
  isUnread?: boolean;
  /** saved: the revision from which on what is shown has it too */
  savedAt?: number;
}

export interface Progress {
  readonly drafts: Readonly<Record<string, Draft>>;
  /** what is saved, as it is shown, by key */
  readonly shown: (key: string) => unknown;
  readonly revision: number;
  /** what is on its way; null when nothing is */
  readonly sent: Values | null;
  /** why the server could not be reached */
  readonly problem: string | null;
  readonly hasSaved: boolean;
}

export interface Refusal {
  /** why, by key */
  messages: Readonly<Record<string, string>>;
  /** keys that somebody else changed, with what stands there now */
  theirs: Readonly<Record<string, unknown>>;
}

export type SaveEvent =
  | { what: 'typed'; values: Values; isHeld: boolean }
  | { what: 'unread'; key: string; text: string; message: string; isHeld: boolean }
  | { what: 'left'; keys: readonly string[] }
  | { what: 'shown'; shown: Progress['shown']; revision: number }
  | { what: 'sent' }
  | { what: 'answered'; revision: number; saved: Values }
  | { what: 'refused'; refusal: Refusal }
  | { what: 'unreachable'; problem: string }
  | { what: 'settled'; key: string; keep: 'mine' | 'theirs' };

export const begin = (shown: Progress['shown'], revision: number): Progress => ({
  drafts: {},
  shown,
  revision,
  sent: null,
  problem: null,
  hasSaved: false,
});

type Drafts = Progress['drafts'];

/** Changes each draft; undefined takes it away. */
function mapped(drafts: Drafts, change: (draft: Draft, key: string) => Draft | undefined): Drafts {
  const next: Record<string, Draft> = {};
  for (const [key, draft] of Object.entries(drafts)) {
    const changed = change(draft, key);
    if (changed) next[key] = changed;
  }
  return next;
}

/** Without what is saved, shown, and not under the cursor. */
const settled = (drafts: Drafts, revision: number) =>
  mapped(drafts, (draft) =>
    draft.state === 'saved' && !draft.isHeld && draft.savedAt! <= revision ? undefined : draft,
  );

/** What stood in a field before what is typed now: what was saved last, or shown. */
function wasAt({ drafts, shown }: Progress, key: string): unknown {
  const before = drafts[key];
  if (before === undefined) return shown(key);
  return before.state === 'saved' ? before.value : before.was;
}

function typed(progress: Progress, values: Values, isHeld: boolean): Drafts {
  const next: Record<string, Draft> = { ...progress.drafts };
  for (const [key, value] of Object.entries(values)) {
    const was = wasAt(progress, key);
    next[key] = { value, was, state: 'waiting', isHeld };
  }
  return next;
}

function answered(progress: Progress, revision: number): Drafts {
  const { sent } = progress;
  const wasTriedAgain = Object.values(progress.drafts).some(({ state, message }) => state === 'sent' && message);
  return mapped(progress.drafts, (draft, key) => {
    if (sent && key in sent) {
      if (draft.state === 'sent') return { ...draft, state: 'saved', savedAt: revision, message: undefined };
      return { ...draft, was: sent[key] };
    }
    // What did not fit may fit now.
    const isAgain = draft.state === 'refused' && !draft.clash && !draft.isUnread && !wasTriedAgain;
    return isAgain ? { ...draft, state: 'again' } : draft;
  });
}

function refused(progress: Progress, { messages, theirs }: Refusal): Drafts {
  const named = Object.keys(progress.sent ?? {}).filter((key) => key in messages || key in theirs);
  const isBlamed = (key: string) => named.length === 0 || named.includes(key);
  return mapped(progress.drafts, (draft, key) => {
    // What was typed over meanwhile is not refused: it goes out next.
    if (draft.state !== 'sent') return draft;
    if (!isBlamed(key)) return { ...draft, state: 'waiting' };
    const message = messages[key] ?? Object.values(messages)[0] ?? draft.message;
    return { ...draft, state: 'refused', message, clash: key in theirs ? { theirs: theirs[key] } : undefined };
  });
}

/** The state after an event. */
export function step(progress: Progress, event: SaveEvent): Progress {
  const { drafts, sent } = progress;
  switch (event.what) {
    case 'typed':
      return { ...progress, drafts: typed(progress, event.values, event.isHeld) };
    case 'unread': {
      const { key, text, message, isHeld } = event;
      const draft: Draft = {
        value: text,
        was: wasAt(progress, key),
        state: 'refused',
        isHeld,
        message,
        isUnread: true,
      };
      return { ...progress, drafts: { ...drafts, [key]: draft } };
    }
    case 'left': {
      const isLeft = (key: string) => event.keys.includes(key);
      const left = mapped(drafts, (draft, key) => (isLeft(key) ? { ...draft, isHeld: false } : draft));
      return { ...progress, drafts: settled(left, progress.revision) };
    }
    case 'shown': {
      const revision = Math.max(progress.revision, event.revision);
      return { ...progress, shown: event.shown, revision, drafts: settled(drafts, revision) };
    }
    case 'sent': {
      const parcel = outgoing(progress);
      if (!parcel) return progress;
      const gone = mapped(drafts, (draft, key) => (key in parcel.values ? { ...draft, state: 'sent' } : draft));
      return { ...progress, drafts: gone, sent: parcel.values };
    }
    case 'answered': {
      const known = settled(answered(progress, event.revision), progress.revision);
      const shown = (key: string) => (key in event.saved ? event.saved[key] : progress.shown(key));
      return { ...progress, drafts: known, shown, sent: null, problem: null, hasSaved: true };
    }
    case 'refused':
      return { ...progress, drafts: refused(progress, event.refusal), sent: null, problem: null };
    case 'unreachable': {
      const back = mapped(drafts, (draft) => (draft.state === 'sent' ? { ...draft, state: 'waiting' } : draft));
      return { ...progress, drafts: back, sent: null, problem: event.problem };
    }
    case 'settled': {
      const { [event.key]: draft, ...rest } = drafts;
      if (!draft?.clash) return progress;
      if (event.keep === 'theirs') return { ...progress, drafts: rest };
      // Theirs was looked at: what is typed goes over it, and over nothing else.
      const mine: Draft = { value: draft.value, was: draft.clash.theirs, state: 'waiting', isHeld: false };
      return { ...progress, drafts: { ...rest, [event.key]: mine }, sent };
    }
  }
}

/** What goes out next, and what stood in its place before; null while a write is on its way or there is nothing. */
export function outgoing({ drafts, sent }: Progress): { values: Values; was: Values } | null {
  if (sent) return null;
  const of = (state: Draft['state']) => Object.entries(drafts).filter(([, draft]) => draft.state === state);
  const waiting = of('waiting');
  const due = waiting.length > 0 ? waiting : of('again');
  if (due.length === 0) return null;
  return {
    values: Object.fromEntries(due.map(([key, { value }]) => [key, value])),
    was: Object.fromEntries(due.flatMap(([key, { was }]) => (was === undefined ? [] : [[key, was]]))),
  };
}

/** What a field shows: what was typed, until it is saved; then what is saved. What cannot be read is no value. */
export function valueAt({ drafts, shown }: Progress, key: string): unknown {
  const draft = drafts[key];
  return draft && !draft.isUnread ? draft.value : shown(key);
}

/** The text of a field that cannot be read as a value. */
export const unreadAt = ({ drafts }: Progress, key: string): string | undefined =>
  drafts[key]?.isUnread ? String(drafts[key].value) : undefined;

export const isUnsaved = (draft: Draft | undefined) => draft !== undefined && draft.state !== 'saved';

export type SaveState = 'idle' | 'waiting' | 'saving' | 'saved' | 'failed' | 'refused';

export function stateOf({ drafts, sent, problem, hasSaved }: Progress): SaveState {
  const states = Object.values(drafts).map(({ state }) => state);
  if (problem !== null) return 'failed';
  if (states.includes('refused') || states.includes('again')) return 'refused';
  if (sent) return 'saving';
  if (states.includes('waiting')) return 'waiting';
  return hasSaved ? 'saved' : 'idle';
}
