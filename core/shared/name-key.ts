import { nameIdentity } from './same-name';
import { latinOf } from './slug';

const LONGEST = 40;

/** A short text that is other for other texts, as far as chance goes. */
function fingerprint(text: string): string {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193);
  return (hash >>> 0).toString(36).padStart(5, '0').slice(-5);
}

/** Words of plain letters and digits with single blanks, and numbers with a point: what these are can be read from their key. */
function plainKey(identity: string): string | undefined {
  if (!/^[a-z0-9. ]+$/.test(identity) || /\d \d/.test(identity)) return undefined;
  const key = identity.replace(/(\d)\.(?=\d)/g, '$1-').replace(/ /g, '-');
  return /^[a-z0-9]+(-[a-z0-9]+)*$/.test(key) && key.length <= LONGEST ? key : undefined;
}

/**
 * Key of a name, for addresses: the same for the same name, and another for any other name, in every script. Plain names
 * read as they are ("light wind": light-wind); behind others stands what tells them apart ("Rosé": rose~x1y2z).
 */
export function nameKey(name: string): string {
  const identity = nameIdentity(name);
  return plainKey(identity) ?? `${latinOf(identity).slice(0, LONGEST)}~${fingerprint(identity)}`;
}
