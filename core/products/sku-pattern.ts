import { fold } from '../shared/fold';
import type { Option, Variant } from '../model/product';
import { nameIdentity } from '../shared/same-name';

/** Letters and digits of a text, in capitals: "With 50 m reel" → "WITH50MREEL". */
const code = (text: string) =>
  fold(text)
    .replace(/[^a-z0-9]/g, '')
    .toUpperCase();

type Piece = { text: string } | { option: number; letters: number };

/**
 * Reads a SKU pattern such as "HD180-{colourway:2}-{line set}": a name of an option in braces stands for the value of the
 * variant, cut to so many letters when told. Answers its pieces, or what is wrong in plain words.
 */
function piecesOf(pattern: string, options: readonly Pick<Option, 'name'>[]): Piece[] | string {
  const pieces: Piece[] = [];
  for (const part of pattern.split(/(\{[^{}]*\})/)) {
    if (!part.startsWith('{')) {
      if (/[{}]/.test(part)) return 'A brace is missing its partner.';
      if (part) pieces.push({ text: part });
      continue;
    }
    const [name = '', letters] = part.slice(1, -1).split(':');
    const wanted = nameIdentity(name);
    const option = options.findIndex((each) => nameIdentity(each.name).startsWith(wanted));
    if (wanted === '' || option < 0) return `There is no option “${name.trim()}”.`;
    if (letters !== undefined && !/^[1-9]\d?$/.test(letters.trim())) return `“${letters}” is no number of letters.`;
    pieces.push({ option, letters: letters === undefined ? Infinity : Number(letters) });
  }
  return pieces;
}

/** The SKU that a pattern gives each variant, or why it cannot. Two variants never get the same one: later ones are numbered. */
export function skusByPattern(
  pattern: string,
  options: readonly Option[],
  variants: readonly Pick<Variant, 'id' | 'values'>[],
): Map<string, string> | string {
  const pieces = piecesOf(pattern.trim(), options);
  if (typeof pieces === 'string') return pieces;
  const taken = new Set<string>();
  const skus = new Map<string, string>();
  for (const { id, values } of variants) {
    const sku = pieces
      .map((piece) => {
        if ('text' in piece) return piece.text;
        const value = options[piece.option]!.values.find((each) => each.id === values[piece.option]);
        return code(value?.name ?? '').slice(0, piece.letters);
      })
      .join('');
    let free = sku;
    for (let n = 2; taken.has(free); n++) free = `${sku}-${n}`;
    taken.add(free);
    skus.set(id, free);
  }
  return skus;
}
