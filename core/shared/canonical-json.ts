/** JSON with sorted keys: equal bodies give equal text. Every save, and every edition of a whole catalog, comes through here. */
export function canonicalJson(value: unknown): string {
  if (value === null || value === true || value === false) return String(value);
  if (typeof value === 'number') return Number.isFinite(value) ? String(value) : 'null';
  if (typeof value !== 'object') return JSON.stringify(value) ?? 'null';
  return Array.isArray(value) ? listText(value, canonicalJson) : anyObject(value);
}

export function listText<T>(items: readonly T[], textOf: (item: T) => string): string {
  let text = '';
  for (let i = 0; i < items.length; i++) text += i === 0 ? textOf(items[i]!) : `,${textOf(items[i]!)}`;
  return `[${text}]`;
}

function anyObject(body: object): string {
  let text = '';
  for (const key of sortedKeys(Object.keys(body))) {
    const value = (body as Record<string, unknown>)[key];
    if (value !== undefined) text += (text === '' ? '' : ',') + keyText(key) + canonicalJson(value);
  }
  return `{${text}}`;
}

/** Keys that are kept as JSON text; there are few of them, but for those of specs. */
const MOST_KEYS = 10_000;
const keyTexts = new Map<string, string>();

function keyText(key: string): string {
  let text = keyTexts.get(key);
  if (text === undefined) {
    text = `${JSON.stringify(key)}:`;
    if (keyTexts.size < MOST_KEYS) keyTexts.set(key, text);
  }
  return text;
}

function sortedKeys(keys: string[]): string[] {
  for (let i = 1; i < keys.length; i++) if (keys[i - 1]! > keys[i]!) return keys.sort();
  return keys;
}

function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  // Most of what can be left out is empty; telling that apart needs no text.
  if (Object.keys(a).length !== Object.keys(b).length) return false;
  return canonicalJson(a) === canonicalJson(b);
}

const areSame = (a: readonly string[], b: readonly string[]) => {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
};

/** What stands for "no usual value". */
const NOTHING = Symbol('nothing');

interface WrittenKey {
  key: string;
  text: string;
  usual: unknown;
}

/** How objects of one sort are written as canonical JSON, where that differs from all they hold. */
export class ObjectForm {
  readonly #only: ReadonlySet<string> | undefined;
  readonly #usual: Readonly<Record<string, unknown>>;
  /** keys of the object written last, and how they are written: objects of one sort mostly have the same */
  #keys: readonly string[] = [];
  #written: readonly WrittenKey[] = [];

  /** `only`: keys that are written, all unless told. `usual`: values that are left out while they are as here. */
  constructor({ only, usual = {} }: { only?: readonly string[]; usual?: Readonly<Record<string, unknown>> }) {
    this.#only = only && new Set(only);
    this.#usual = usual;
  }

  /** The text of an object; `parts`: texts of values that are written in another way. */
  text(body: object, parts?: Readonly<Record<string, string>>): string {
    const keys = Object.keys(body);
    if (!areSame(keys, this.#keys)) {
      this.#keys = keys;
      this.#written = this.#writtenKeys(keys.slice());
    }
    let text = '';
    for (const { key, text: name, usual } of this.#written) {
      const value = (body as Record<string, unknown>)[key];
      if (value === undefined || isSame(value, usual)) continue;
      text +=
        (text === '' ? '' : ',') + name + (parts && Object.hasOwn(parts, key) ? parts[key]! : canonicalJson(value));
    }
    return `{${text}}`;
  }

  #writtenKeys(keys: string[]): WrittenKey[] {
    const usual = this.#usual;
    return sortedKeys(keys)
      .filter((key) => this.#only?.has(key) ?? true)
      .map((key) => ({ key, text: keyText(key), usual: Object.hasOwn(usual, key) ? usual[key] : NOTHING }));
  }
}
