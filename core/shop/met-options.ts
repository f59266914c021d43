import type { ProductDocument } from '../model/document';
import { optionKey, optionValueKey } from './facts';

type Options = ProductDocument['options'];

/** An option of the catalog, with the words and colours of its values by their keys, in the order in which they are read. */
export interface MetOption {
  label: string;
  values: ReadonlyMap<string, string>;
  swatches: ReadonlyMap<string, string>;
}

/** How often each of several texts was met. */
type Counts = Map<string, number>;

interface Met {
  times: number;
  /** sum of the places at which it stood, so that the average does not depend on who came first */
  places: number;
  labels: Counts;
}

interface MetValue extends Met {
  swatches: Counts;
}

interface MetWithValues extends Met {
  values: Map<string, MetValue>;
}

const natural = new Intl.Collator('en', { numeric: true });

function add(counts: Counts, text: string, by: number): void {
  const count = (counts.get(text) ?? 0) + by;
  if (count === 0) counts.delete(text);
  else counts.set(text, count);
}

/** The text that was met most often; of several the first by their letters. */
function mostMet(counts: Counts): string | undefined {
  let best: string | undefined;
  for (const [text, count] of counts) {
    const most = best === undefined ? 0 : counts.get(best)!;
    if (count > most || (count === most && text < best!)) best = text;
  }
  return best;
}

const labelOf = ({ labels }: Met) => mostMet(labels)!;

function byPlace(a: Met, b: Met): number {
  const [x, y] = [labelOf(a), labelOf(b)];
  return a.places * b.times - b.places * a.times || natural.compare(x, y) || (x < y ? -1 : 1);
}

function byUse(a: Met, b: Met): number {
  return b.times - a.times || byPlace(a, b);
}

function areAlike(a: Options | undefined, b: Options | undefined): boolean {
  if (a === b) return true;
  return (
    a?.length === b?.length &&
    !!a?.every(
      ({ name, values }, i) =>
        name === b![i]!.name &&
        values.length === b![i]!.values.length &&
        values.every((value, j) => {
          const other = b![i]!.values[j]!;
          return value.name === other.name && value.swatch === other.swatch;
        }),
    )
  );
}

/**
 * The options of all products together. What is told of them (labels, colours, order) follows from which products there are,
 * not from the order in which they came: counts are kept, and the rest is worked out when somebody asks. Options that most
 * products have come first; values stand as they do in the products, on average.
 */
export class MetOptions {
  readonly #met = new Map<string, MetWithValues>();
  #told: ReadonlyMap<string, MetOption> | undefined;
  /** goes up whenever an option, or a value of one, comes, goes or is told otherwise */
  version = 0;
  /** goes up whenever an option comes or goes */
  keysVersion = 0;

  /** Options of a product in place of those that it had; undefined for none. */
  replace(before: Options | undefined, after: Options | undefined): void {
    if (areAlike(before, after)) return;
    const keys = this.#met.size;
    const known = new Set(before?.map(({ name }) => optionKey(name)));
    if (after) this.#count(after, 1);
    if (before) this.#count(before, -1);
    this.#told = undefined;
    this.version++;
    const isOther = this.#met.size !== keys || after?.some(({ name }) => !known.has(optionKey(name)));
    if (isOther) this.keysVersion++;
  }

  /** By key. */
  get all(): ReadonlyMap<string, MetOption> {
    return (this.#told ??= this.#tell());
  }

  copyFrom(other: MetOptions): void {
    this.#met.clear();
    for (const [key, { values, labels, ...option }] of other.#met)
      this.#met.set(key, {
        ...option,
        labels: new Map(labels),
        values: new Map(
          Array.from(values, ([valueKey, value]) => [
            valueKey,
            { ...value, labels: new Map(value.labels), swatches: new Map(value.swatches) },
          ]),
        ),
      });
    this.#told = other.#told;
    this.version++;
    this.keysVersion++;
  }

  #count(options: Options, by: 1 | -1): void {
    options.forEach(({ name, values }, place) => {
      const key = optionKey(name);
      let option = this.#met.get(key);
      if (!option) this.#met.set(key, (option = { times: 0, places: 0, labels: new Map(), values: new Map() }));
      option.times += by;
      option.places += by * place;
      add(option.labels, name, by);
      values.forEach((value, at) => {
        const valueKey = optionValueKey(value.name);
        let met = option.values.get(valueKey);
        if (!met) option.values.set(valueKey, (met = { times: 0, places: 0, labels: new Map(), swatches: new Map() }));
        met.times += by;
        met.places += by * at;
        add(met.labels, value.name, by);
        if (value.swatch) add(met.swatches, value.swatch, by);
        if (met.times === 0) option.values.delete(valueKey);
      });
      if (option.times === 0) this.#met.delete(key);
    });
  }

  #tell(): ReadonlyMap<string, MetOption> {
    const inOrder = <T extends Met>(met: ReadonlyMap<string, T>, compare: (a: Met, b: Met) => number) =>
      [...met].sort(([, a], [, b]) => compare(a, b));
    return new Map(
      inOrder(this.#met, byUse).map(([key, option]): [string, MetOption] => {
        const values = inOrder(option.values, byPlace);
        return [
          key,
          {
            label: labelOf(option),
            values: new Map(values.map(([valueKey, value]) => [valueKey, labelOf(value)])),
            swatches: new Map(
              values.flatMap(([valueKey, { swatches }]) => {
                const swatch = mostMet(swatches);
                return swatch === undefined ? [] : [[valueKey, swatch] as const];
              }),
            ),
          },
        ];
      }),
    );
  }
}
