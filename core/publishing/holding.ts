import type { AddressedKind, DocumentBodies, DocumentKind, Redirect } from '../model/document';
import { addressedKinds } from '../model/document';
import type { Wording } from '../model/wording';

/** What stands behind a key on both sides, as shoppers meet it; undefined where there is nothing for them. */
export interface ChangedDocument {
  ref: string;
  kind: DocumentKind;
  key: string;
  live: object | undefined;
  work: object | undefined;
}

function* stringsIn(part: unknown): Generator<string> {
  if (typeof part === 'string') yield part;
  else if (typeof part === 'object' && part !== null)
    for (const [name, value] of Object.entries(part)) {
      yield name;
      yield* stringsIn(value);
    }
}

/** These speak of one thing and are nothing without it; elsewhere a product that is not there is passed over, as drafts are. */
const ofOne: ReadonlySet<DocumentKind> = new Set(['wording', 'redirect', 'forward']);

const isAddressed = (kind: string): kind is AddressedKind => (addressedKinds as readonly string[]).includes(kind);

/** The addresses that a document takes, by language and kind; a forwarding address takes the one that it forwards. */
function addressesOf(kind: DocumentKind, body: object | undefined): string[] {
  if (!body) return [];
  if (kind === 'redirect') return [`/${(body as Redirect).kind}/${(body as Redirect).slug}`];
  if (kind === 'wording') {
    const { locale, kind: of, texts } = body as Wording;
    return texts.slug ? [`${locale}/${of}/${texts.slug.text}`] : [];
  }
  return isAddressed(kind) ? [`/${kind}/${(body as DocumentBodies[AddressedKind]).slug}`] : [];
}

/**
 * What stays out of the next edition when some changes are held back: these, and all that cannot go without them, each
 * with the ref that it waits for (null for what was held back by hand). A change waits where it names something new that is
 * held back, where it removes something that a held one still names, and where it takes an address that a held one gives
 * free. O(size of the changed documents × length of the longest chain).
 */
export function heldWith(
  changed: readonly ChangedDocument[],
  held: ReadonlySet<string>,
): ReadonlyMap<string, string | null> {
  const all = new Map<string, string | null>();
  for (const { ref } of changed) if (held.has(ref)) all.set(ref, null);
  let added = [...changed.filter(({ ref }) => all.has(ref))];
  while (added.length > 0) {
    /** things that shoppers will not have, and addresses that stay taken, by what keeps them */
    const missing = new Map<string, { ref: string; isProduct: boolean }>();
    const named = new Map<string, string>();
    const taken = new Map<string, string>();
    const wanted = new Map<string, string>();
    for (const { ref, kind, key, live, work } of added) {
      if (!live) missing.set(key, { ref, isProduct: kind === 'product' });
      for (const text of stringsIn(live)) named.set(text, ref);
      for (const address of addressesOf(kind, live)) taken.set(address, ref);
      for (const address of addressesOf(kind, work)) wanted.set(address, ref);
    }
    const waitsFor = ({ kind, key, live, work }: ChangedDocument): string | undefined => {
      if (!work && kind !== 'product' && named.has(key)) return named.get(key);
      for (const address of addressesOf(kind, work)) if (taken.has(address)) return taken.get(address);
      // An address goes on forwarding until what takes its place is there.
      if (!work && kind === 'redirect')
        for (const address of addressesOf(kind, live)) if (wanted.has(address)) return wanted.get(address);
      if (missing.size === 0) return undefined;
      for (const text of stringsIn(work)) {
        const found = missing.get(text);
        if (found && (!found.isProduct || ofOne.has(kind))) return found.ref;
      }
      return undefined;
    };
    added = changed.filter((document) => {
      if (all.has(document.ref)) return false;
      const ref = waitsFor(document);
      if (ref !== undefined) all.set(document.ref, ref);
      return ref !== undefined;
    });
  }
  return all;
}
