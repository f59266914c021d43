import { grow } from './arrays';
import { Bitset } from './bitset';
import type { FacetsState } from './state';

export interface Facet {
  /** facets are numbered as they are met */
  number: number;
  /** value → value id, in the order in which the values were first met */
  values: Map<string, number>;
  /** its values are of variants; of products otherwise */
  onVariants: boolean;
}

export interface FacetValue {
  facet: string;
  value: string;
  /** products that have the value, themselves or through a variant */
  products: Bitset;
  /** variants that have it; undefined while only products do */
  variants: Bitset | undefined;
}

/** Facets and their values; a value is known by a small number. */
export class Facets {
  readonly values: FacetValue[] = [];
  /** value id → how many products have it */
  totals = new Uint32Array(256);
  /** value id → number of its facet */
  facetOf = new Uint16Array(256);
  readonly #facets = new Map<string, Facet>();
  #lastName: string | undefined;
  #last: Facet | undefined;

  static of({ names, onVariants, values, totals, facetOf }: FacetsState): Facets {
    const facets = new Facets();
    facets.totals = totals;
    facets.facetOf = facetOf;
    names.forEach((name, i) => facets.#facetOf(name, onVariants[i]!));
    for (const { facet, value, products, variants } of values) {
      facets.facet(facet)!.values.set(value, facets.values.length);
      facets.values.push({ facet, value, products: Bitset.of(products), variants: variants && Bitset.of(variants) });
    }
    return facets;
  }

  state(): FacetsState {
    return {
      names: [...this.#facets.keys()],
      onVariants: Array.from(this.#facets.values(), (facet) => facet.onVariants),
      values: this.values.map(({ facet, value, products, variants }) => ({
        facet,
        value,
        products: products.state(),
        variants: variants?.state(),
      })),
      totals: this.totals.slice(),
      facetOf: this.facetOf.slice(),
    };
  }

  get bytes(): number {
    let bytes = this.totals.byteLength + this.facetOf.byteLength;
    for (const { products, variants } of this.values)
      bytes += products.words.byteLength + (variants?.words.byteLength ?? 0);
    return bytes;
  }

  facet(name: string): Facet | undefined {
    return this.#facets.get(name);
  }

  valueId(name: string, value: string): number | undefined {
    return this.#facets.get(name)?.values.get(value);
  }

  find(name: string, value: string): FacetValue | undefined {
    const id = this.valueId(name, value);
    return id === undefined ? undefined : this.values[id];
  }

  /** The id of a value; a new one gets an id, and room for `products` products. */
  idOf(name: string, value: string, onVariants: boolean, products: number): number {
    // Values of one facet mostly come one after the other.
    const facet = name === this.#lastName ? this.#last! : this.#facetOf(name, onVariants);
    return facet.values.get(value) ?? this.#add(name, facet, value, products);
  }

  #facetOf(name: string, onVariants: boolean): Facet {
    let facet = this.#facets.get(name);
    if (!facet) this.#facets.set(name, (facet = { number: this.#facets.size, values: new Map(), onVariants }));
    this.#lastName = name;
    this.#last = facet;
    return facet;
  }

  #add(name: string, facet: Facet, value: string, products: number): number {
    const id = this.values.length;
    facet.values.set(value, id);
    this.values.push({ facet: name, value, products: new Bitset(products), variants: undefined });
    if (id >= this.totals.length) {
      this.totals = grow(this.totals, Math.ceil(id * 1.25) + 1, Uint32Array);
      this.facetOf = grow(this.facetOf, Math.ceil(id * 1.25) + 1, Uint16Array);
    }
    this.facetOf[id] = facet.number;
    return id;
  }
}
