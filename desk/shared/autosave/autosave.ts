import { toast } from 'sonner';
import { CallError, wordsOf } from '../../data/api';
import { begin, outgoing, step, type Progress, type Refusal, type SaveEvent, type Values } from './step';
import { textUnderCursor } from './cursor';
import { unsaved } from './unsaved';

const WAIT_MS = 300;
const RETRY_MS = 4_000;

export interface Parcel {
  values: Values;
  /** what stood in these fields when they began to be typed over */
  was: Values;
}

/** What the server made of a write: its revision, or the values themselves where it tells no revision. */
export interface Receipt {
  revision?: number;
  saved?: Values;
}

export interface Terms {
  save: (parcel: Parcel) => Promise<Receipt>;
  /** which key an error of the server belongs to */
  keyOf: (path: readonly (string | number)[], sent: Values) => string | undefined;
  /** what a field is called, where its message alone does not say which one is meant */
  labelOf?: (key: string) => string;
}

/**
 * Saves what is typed by itself, one write at a time, a moment after the last key. What cannot be saved stays on screen
 * with its reason; when the server is away it is tried again until it is back. What happens when is told by step.ts.
 */
export class Autosave {
  #progress: Progress;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #isGone = false;
  readonly #listeners = new Set<() => void>();
  readonly #held = new Map<HTMLElement, Set<string>>();
  terms: Terms;

  constructor(shown: Progress['shown'], revision: number, terms: Terms) {
    this.#progress = begin(shown, revision);
    this.terms = terms;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  };

  readonly progress = (): Progress => this.#progress;

  /** Tells what is saved now, as it is shown. */
  show(shown: Progress['shown'], revision: number): void {
    // A field that was taken away with the cursor in it is not left in the usual way.
    for (const at of [...this.#held.keys()]) if (!at.isConnected) this.#release(at);
    this.#step({ what: 'shown', shown, revision });
  }

  readonly change = (values: Values): void => {
    const at = textUnderCursor();
    if (at) this.#hold(at, Object.keys(values));
    this.#step({ what: 'typed', values, isHeld: at !== null });
    if (this.#isGone) this.flush();
    else this.#wait(WAIT_MS);
  };

  /** Keeps what was typed and cannot be read, with what is wrong with it. */
  readonly refuse = (key: string, text: string, message: string): void => {
    const at = textUnderCursor();
    if (at) this.#hold(at, [key]);
    this.#step({ what: 'unread', key, text, message, isHeld: at !== null });
  };

  /** Ends a clash: keep what was typed, or take what is saved. */
  readonly settle = (key: string, keep: 'mine' | 'theirs'): void => {
    this.#step({ what: 'settled', key, keep });
    this.flush();
  };

  readonly flush = (): void => {
    clearTimeout(this.#timer);
    void this.#send();
  };

  /** The fields are on screen (again). */
  enter(): void {
    this.#isGone = false;
    window.addEventListener('pagehide', this.#sendLast);
  }

  /** The fields leave the screen: what is typed goes out at once. */
  leave(): void {
    this.#isGone = true;
    window.removeEventListener('pagehide', this.#sendLast);
    unsaved.clear(this);
    this.flush();
  }

  /** The whole page goes: what still waits is sent behind what is on its way, and nobody waits for the answer. */
  readonly #sendLast = (): void => {
    const parcel = outgoing({ ...this.#progress, sent: null });
    if (parcel) void this.terms.save(parcel).catch(() => undefined);
  };

  #hold(at: HTMLElement, keys: readonly string[]): void {
    const held = this.#held.get(at);
    if (held) return keys.forEach((key) => held.add(key));
    this.#held.set(at, new Set(keys));
    at.addEventListener('blur', () => this.#release(at), { once: true });
  }

  #release(at: HTMLElement): void {
    const keys = this.#held.get(at);
    this.#held.delete(at);
    if (keys) this.#step({ what: 'left', keys: [...keys] });
  }

  #step(event: SaveEvent): void {
    const before = this.#progress;
    this.#progress = step(before, event);
    if (this.#progress === before) return;
    for (const listener of this.#listeners) listener();
    this.#tellUnsaved();
  }

  #tellUnsaved(): void {
    if (this.#isGone) return;
    const { drafts, problem } = this.#progress;
    const open = Object.entries(drafts).filter(([, { state }]) => state !== 'saved');
    if (open.length === 0) return unsaved.clear(this);
    const refused = open.filter(([, { state }]) => state === 'refused' || state === 'again');
    const { labelOf } = this.terms;
    unsaved.set(this, {
      problems: refused.map(([key, { message = 'This cannot be saved.' }]) =>
        labelOf ? `${labelOf(key)}: ${message}` : message,
      ),
      fields: open.map(([key]) => key),
      isOnItsWay: problem === null && refused.length === 0,
      flush: this.flush,
    });
  }

  #wait(ms: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), ms);
  }

  async #send(): Promise<void> {
    const parcel = outgoing(this.#progress);
    if (!parcel) return;
    this.#step({ what: 'sent' });
    let wait = 0;
    try {
      const { revision = 0, saved = {} } = await this.terms.save(parcel);
      this.#step({ what: 'answered', revision, saved });
    } catch (error) {
      const isAnswer = error instanceof CallError && !error.isOffline && error.problem.status < 500;
      if (isAnswer) this.#step({ what: 'refused', refusal: this.#refusalOf(error, parcel.values) });
      else {
        this.#step({ what: 'unreachable', problem: wordsOf(error) });
        wait = RETRY_MS;
      }
      if (this.#isGone) this.#tellLost(error, parcel.values);
    }
    if (outgoing(this.#progress)) this.#wait(wait);
  }

  /** Whoever has left the screen still learns what was not saved, with the words, to be typed again. */
  #tellLost(error: unknown, values: Values): void {
    const words = Object.values(values).filter((value) => typeof value === 'string' || typeof value === 'number');
    toast.error(`Not saved: ${wordsOf(error)}`, { description: words.join(' · '), duration: Infinity });
  }

  #refusalOf(error: CallError, sent: Values): Refusal {
    const known = error.errors.map((each) => ({ ...each, key: this.terms.keyOf(each.path, sent) ?? '' }));
    const messages = Object.fromEntries(known.map(({ key, message }) => [key, message]));
    return {
      messages: known.length > 0 ? messages : { '': wordsOf(error) },
      theirs: error.is('clash') ? Object.fromEntries(known.map(({ key, theirs }) => [key, theirs])) : {},
    };
  }
}
