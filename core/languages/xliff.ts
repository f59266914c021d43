import { XMLBuilder, XMLParser } from 'fast-xml-parser';
import { piecesOf, textOfPieces, type Piece } from './inline-codes';

/** XLIFF 2.1, as far as Dispona writes and reads it: one file for each thing, one unit with one segment for each text. */

/** Of a segment, as the standard calls it. */
export type SegmentState = 'initial' | 'translated' | 'reviewed' | 'final';

interface XliffUnit {
  /** where the text stands in its thing */
  path: string;
  /** for people */
  note: string;
  source: string;
  target: string | null;
  state: SegmentState;
}

interface XliffFile {
  /** "product/p_1" */
  original: string;
  /** for people */
  name: string;
  units: XliffUnit[];
}

export interface Xliff {
  srcLang: string;
  trgLang: string;
  files: XliffFile[];
}

const NAMESPACE = 'urn:oasis:names:tc:xliff:document:2.0';

/** An element as the parser keeps it in order: its name, its children, and its attributes beside. */
type Node = Record<string, Node[] | string> & { ':@'?: Record<string, string> };

const nameOf = (node: Node) => Object.keys(node).find((key) => key !== ':@')!;
const childrenOf = (node: Node) => node[nameOf(node)] as Node[];
const attributeOf = (node: Node, name: string) => node[':@']?.[name];
const named = (nodes: readonly Node[], name: string) => nodes.filter((node) => nameOf(node) === name);
const element = (name: string, attributes: Record<string, string>, children: Node[]): Node =>
  ({ [name]: children, ':@': attributes }) as unknown as Node;
const textNode = (text: string): Node => ({ '#text': text });

/** Words and codes; each code refers to what it stands for, and keeps its id in the translation. */
function inline(pieces: readonly Piece[], idOf: (code: string) => { id: string; data: string }): Node[] {
  return pieces.map((piece) => {
    if ('words' in piece) return textNode(piece.words);
    const { id, data } = idOf(piece.code);
    return element('ph', { id, dataRef: data }, []);
  });
}

/** Ids for the codes of a unit: the same code is kept once, and each place of it has an id of its own. */
class Codes {
  readonly data = new Map<string, string>();
  readonly #used = new Map<string, string[]>();

  constructor(source: readonly Piece[]) {
    for (const piece of source)
      if ('code' in piece) {
        const ids = this.#used.get(piece.code) ?? [];
        const total = [...this.#used.values()].reduce((sum, each) => sum + each.length, 0);
        this.#used.set(piece.code, [...ids, String(total + 1)]);
      }
  }

  /** Answers ids for the places of codes in one text, in order. */
  places(): (code: string) => { id: string; data: string } {
    const next = new Map<string, number>();
    return (code) => {
      const at = next.get(code) ?? 0;
      next.set(code, at + 1);
      let ids = this.#used.get(code);
      if (!ids) this.#used.set(code, (ids = []));
      // What only the translation has gets an id that no other place has.
      if (ids[at] === undefined) {
        const total = [...this.#used.values()].reduce((sum, each) => sum + each.length, 0);
        ids[at] = String(total + 1);
      }
      let data = this.data.get(code);
      if (data === undefined) this.data.set(code, (data = `d${this.data.size + 1}`));
      return { id: ids[at], data };
    };
  }
}

function unitNode({ path, note, source, target, state }: XliffUnit, id: string): Node {
  const pieces = piecesOf(source);
  const codes = new Codes(pieces);
  const content = inline(pieces, codes.places());
  const translation = target === null ? null : inline(piecesOf(target), codes.places());
  const data = [...codes.data].map(([code, key]) => element('data', { id: key }, [textNode(code)]));
  const space = { 'xml:space': 'preserve' };
  return element('unit', { id, name: path }, [
    element('notes', {}, [element('note', {}, [textNode(note)])]),
    ...(data.length > 0 ? [element('originalData', {}, data)] : []),
    element('segment', { state: target === null ? 'initial' : state }, [
      element('source', space, content),
      ...(translation ? [element('target', space, translation)] : []),
    ]),
  ]);
}

const builder = new XMLBuilder({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  suppressEmptyNode: true,
});

/** A document of the standard, to be opened by any program that translates. */
export function writeXliff({ srcLang, trgLang, files }: Xliff): string {
  const body = files.map(({ original, name, units }, i) =>
    element('file', { id: `f${i + 1}`, original }, [
      element('notes', {}, [element('note', {}, [textNode(name)])]),
      ...units.map((unit, j) => unitNode(unit, `u${j + 1}`)),
    ]),
  );
  const root = element('xliff', { xmlns: NAMESPACE, version: '2.1', srcLang, trgLang }, body);
  return `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build([root])}\n`;
}

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  trimValues: false,
  parseTagValue: false,
  parseAttributeValue: false,
  // What names entities of its own is no file of translations, and may grow without end.
  processEntities: { enabled: true, maxTotalExpansions: 1_000_000, maxExpandedLength: 10_000_000 },
});

/** The elements of a document; undefined for what is not well-formed or no XLIFF. */
function rootOf(text: string): Node | undefined {
  if (/<!(?:DOCTYPE|ENTITY)/i.test(text)) return undefined;
  try {
    return named(parser.parse(text) as Node[], 'xliff')[0];
  } catch {
    return undefined;
  }
}

/** The text of an element with its codes in their places; a code that is a pair stands around what is in it. */
function contentOf(nodes: readonly Node[], data: ReadonlyMap<string, string>): string {
  const pieces = nodes.flatMap((node): Piece[] => {
    const name = nameOf(node);
    if (name === '#text') return [{ words: node['#text'] as unknown as string }];
    const code = (ref: string) => ({ code: data.get(attributeOf(node, ref) ?? '') ?? '' });
    if (name === 'ph' || name === 'sc' || name === 'ec') return [code('dataRef')];
    if (name === 'pc') return [code('dataRefStart'), { words: contentOf(childrenOf(node), data) }, code('dataRefEnd')];
    // Marks of a program that translates say something about the words, and are none.
    return name === 'mrk' ? [{ words: contentOf(childrenOf(node), data) }] : [];
  });
  return textOfPieces(pieces);
}

const words = (nodes: readonly Node[]): string =>
  nodes
    .map((node) => (nameOf(node) === '#text' ? (node['#text'] as unknown as string) : words(childrenOf(node))))
    .join('');

function unitOf(node: Node): XliffUnit | undefined {
  const children = childrenOf(node);
  const path = attributeOf(node, 'name');
  const segments = named(children, 'segment');
  if (path === undefined || segments.length === 0) return undefined;
  const data = new Map(
    named(children, 'originalData').flatMap((each) =>
      named(childrenOf(each), 'data').map((one) => [attributeOf(one, 'id') ?? '', words(childrenOf(one))] as const),
    ),
  );
  const side = (name: 'source' | 'target') => {
    const found = segments.map((segment) => named(childrenOf(segment), name)[0]);
    return found.some((each) => each === undefined)
      ? null
      : found.map((each) => contentOf(childrenOf(each!), data)).join('');
  };
  const note = named(children, 'notes')
    .map((each) => words(childrenOf(each)))
    .join('');
  const state = (attributeOf(segments[0]!, 'state') ?? 'initial') as SegmentState;
  return { path, note, source: side('source') ?? '', target: side('target'), state };
}

/** Units of a file, those in groups too. */
const unitsIn = (nodes: readonly Node[]): Node[] =>
  nodes.flatMap((node) => {
    const name = nameOf(node);
    return name === 'unit' ? [node] : name === 'group' ? unitsIn(childrenOf(node)) : [];
  });

/** Reads a document that this or another program wrote; undefined where it is none of version 2. */
export function readXliff(text: string): Xliff | undefined {
  const root = rootOf(text);
  if (!root || !/^2\./.test(attributeOf(root, 'version') ?? '')) return undefined;
  return {
    srcLang: attributeOf(root, 'srcLang') ?? '',
    trgLang: attributeOf(root, 'trgLang') ?? '',
    files: named(childrenOf(root), 'file').map((file) => ({
      original: attributeOf(file, 'original') ?? '',
      name: named(childrenOf(file), 'notes')
        .map((each) => words(childrenOf(each)))
        .join(''),
      units: unitsIn(childrenOf(file)).flatMap((node) => unitOf(node) ?? []),
    })),
  };
}

const NMTOKEN = /^[\p{L}\p{N}._:-]+$/u;
const LANGUAGE = /^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/i;
const states = new Set<string>(['initial', 'translated', 'reviewed', 'final']);

/**
 * What in a document breaks the constraints of XLIFF 2.1, worded as the standard words them; none for one that holds them.
 * Written from the specification: core elements and their order, required attributes, ids and what refers to them, states.
 */
export function xliffProblems(text: string): string[] {
  const root = rootOf(text);
  if (!root) return ['This is not well-formed XML with the root element <xliff>.'];
  const problems: string[] = [];
  const need = (holds: boolean, problem: string) => void (holds || problems.push(problem));
  need(attributeOf(root, 'xmlns') === NAMESPACE, `The default namespace must be ${NAMESPACE}.`);
  need(
    /^2\.[01]$/.test(attributeOf(root, 'version') ?? ''),
    'The attribute version is required, and must be 2.0 or 2.1.',
  );
  need(
    LANGUAGE.test(attributeOf(root, 'srcLang') ?? ''),
    'The attribute srcLang is required, and must be a language tag.',
  );
  const trgLang = attributeOf(root, 'trgLang');
  need(trgLang === undefined || LANGUAGE.test(trgLang), 'The attribute trgLang must be a language tag.');
  const files = childrenOf(root).filter((node) => nameOf(node) !== '#text');
  need(files.length > 0 && files.every((node) => nameOf(node) === 'file'), '<xliff> holds one or more <file>.');
  const unique = (ids: readonly (string | undefined)[], what: string) => {
    need(
      ids.every((id) => id !== undefined && NMTOKEN.test(id)),
      `The attribute id of ${what} is required, and must be an NMTOKEN.`,
    );
    need(new Set(ids).size === ids.length, `Each id of ${what} must be unique.`);
  };
  unique(
    files.map((node) => attributeOf(node, 'id')),
    '<file>',
  );
  for (const file of files) {
    const units = unitsIn(childrenOf(file));
    need(units.length > 0, '<file> holds one or more <unit> or <group>.');
    unique(
      units.map((node) => attributeOf(node, 'id')),
      '<unit>',
    );
    for (const unit of units) checkUnit(unit, trgLang, need, unique);
  }
  return [...new Set(problems)];
}

function checkUnit(
  unit: Node,
  trgLang: string | undefined,
  need: (holds: boolean, problem: string) => void,
  unique: (ids: readonly (string | undefined)[], what: string) => void,
): void {
  const children = childrenOf(unit).filter((node) => nameOf(node) !== '#text');
  const order = ['notes', 'originalData', 'segment', 'ignorable'];
  const places = children.map((node) => order.indexOf(nameOf(node)));
  need(
    places.every((place, i) => place >= 0 && (i === 0 || place >= Math.min(places[i - 1]!, 2))),
    '<unit> holds <notes>, <originalData>, then <segment> and <ignorable>, in this order.',
  );
  const segments = named(children, 'segment');
  need(segments.length > 0, '<unit> holds at least one <segment>.');
  const data = named(children, 'originalData').flatMap((node) => named(childrenOf(node), 'data'));
  unique(
    data.map((node) => attributeOf(node, 'id')),
    '<data>',
  );
  const known = new Set(data.map((node) => attributeOf(node, 'id')));
  const codesIn = (nodes: readonly Node[]): Node[] =>
    nodes.flatMap((node) => (nameOf(node) === '#text' ? [] : [node, ...codesIn(childrenOf(node))]));
  for (const segment of segments) {
    const state = attributeOf(segment, 'state');
    need(
      state === undefined || states.has(state),
      'The attribute state must be initial, translated, reviewed or final.',
    );
    const parts = childrenOf(segment)
      .filter((node) => nameOf(node) !== '#text')
      .map(nameOf);
    need(
      parts.join() === 'source' || parts.join() === 'source,target',
      '<segment> holds one <source>, then at most one <target>.',
    );
    const [source, target] = [named(childrenOf(segment), 'source')[0], named(childrenOf(segment), 'target')[0]];
    need(target === undefined || trgLang !== undefined, 'The attribute trgLang is required where there is a <target>.');
    need(
      state === undefined || state === 'initial' || target !== undefined,
      'A segment without <target> is in the state initial.',
    );
    for (const side of [source, target]) {
      if (!side) continue;
      const codes = codesIn(childrenOf(side));
      unique(
        codes.map((node) => attributeOf(node, 'id')),
        'inline codes',
      );
      for (const code of codes)
        for (const ref of ['dataRef', 'dataRefStart', 'dataRefEnd'])
          need(
            attributeOf(code, ref) === undefined || known.has(attributeOf(code, ref)),
            `The attribute ${ref} must name a <data> of the same <unit>.`,
          );
    }
  }
}
