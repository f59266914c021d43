/**
 * A shop as visitors walk it. Places are pages, each page of a listing, and the pages of products, where those with the same
 * links out are one place. All chances are of one step: they hold what remains after some visits have ended.
 */
export interface VisitGraph {
  places: number;
  /** by place: the chance that a visit begins there */
  begins: Float64Array;
  /** by product: the chance that a visit begins on its page */
  beginsAt: Float64Array;
  /** links out of place i are `linkTo` and `linkChance` from `linksFrom[i]` to `linksFrom[i + 1]`, those of cards among them */
  linksFrom: Uint32Array;
  linkTo: Uint32Array;
  linkChance: Float64Array;
  /** by place: the chance of following a link of the menus that is in full sight */
  menuChance: Float64Array;
  /** by place: how well the menus' links to it are seen, together */
  menu: Float64Array;
  /** the same of single products */
  menuTo: Float64Array;
  /** places with a link to product p: `cardPlace` from `cardsFrom[p]` to `cardsFrom[p + 1]`, in rising order */
  cardsFrom: Uint32Array;
  cardPlace: Uint32Array;
  /** the chance that a visitor of the place sees the product there; 0 where only words lead to it */
  cardSeen: Float64Array;
  /** the chance that its page is next */
  cardChance: Float64Array;
  /** the place that the page of a product belongs to; -1 for what shoppers do not meet */
  pageOf: Int32Array;
}

interface PlaceLinks {
  to: number[];
  weights: number[];
  cards: Map<number, { unseen: number; weight: number }>;
}

/** Collects places, links and cards by how well they are seen, and turns that into chances. */
export class VisitGraphBuilder {
  readonly #places: PlaceLinks[] = [];
  readonly #menu = new Map<number, number>();
  readonly #menuTo: Float64Array;
  readonly #pageOf: Int32Array;
  readonly #begins = new Map<number, number>();
  readonly #beginsAt: Float64Array;
  #menuWeight = 0;

  constructor(readonly products: number) {
    this.#menuTo = new Float64Array(products);
    this.#beginsAt = new Float64Array(products);
    this.#pageOf = new Int32Array(products).fill(-1);
  }

  addPlace(): number {
    return this.#places.push({ to: [], weights: [], cards: new Map() }) - 1;
  }

  begin(place: number, chance: number): void {
    this.#begins.set(place, (this.#begins.get(place) ?? 0) + chance);
  }

  beginAt(product: number, chance: number): void {
    this.#beginsAt[product]! += chance;
  }

  /** Says which place the page of a product belongs to; wanted before there are cards of it. */
  setPage(product: number, place: number): void {
    this.#pageOf[product] = place;
  }

  link(from: number, to: number, seen: number): void {
    const place = this.#places[from]!;
    place.to.push(to);
    place.weights.push(seen);
  }

  /** A link to a product; with `isCard`, one that shows it. What stands somewhere twice is seen when either is. */
  card(from: number, product: number, seen: number, isCard = true): void {
    const { cards } = this.#places[from]!;
    const known = cards.get(product) ?? { unseen: 1, weight: 0 };
    cards.set(product, { unseen: known.unseen * (isCard ? 1 - seen : 1), weight: known.weight + seen });
  }

  menuLink(to: number, seen: number): void {
    this.#menu.set(to, (this.#menu.get(to) ?? 0) + seen);
    this.#menuWeight += seen;
  }

  menuLinkTo(product: number, seen: number): void {
    this.#menuTo[product]! += seen;
    this.#menuWeight += seen;
  }

  /** The graph, where a visitor stays with the chance `stays` after each page. O(places + links + cards). */
  build(stays: number): VisitGraph {
    const places = this.#places.length;
    const begins = new Float64Array(places);
    for (const [place, chance] of this.#begins) begins[place] = chance;
    const menu = new Float64Array(places);
    for (const [place, weight] of this.#menu) menu[place] = weight;
    this.#pageOf.forEach((page, product) => {
      if (page < 0) return;
      begins[page]! += this.#beginsAt[product]!;
      menu[page]! += this.#menuTo[product]!;
    });
    const menuChance = new Float64Array(places);
    const linksFrom = new Uint32Array(places + 1);
    const linkTo: number[] = [];
    const linkChance: number[] = [];
    const cardCounts = new Uint32Array(this.products + 1);
    for (const { cards } of this.#places) for (const product of cards.keys()) cardCounts[product + 1]!++;
    for (let p = 0; p < this.products; p++) cardCounts[p + 1]! += cardCounts[p]!;
    const cardsFrom = cardCounts.slice();
    const next = cardCounts.slice(0, this.products);
    const cardPlace = new Uint32Array(cardsFrom[this.products]!);
    const cardSeen = new Float64Array(cardPlace.length);
    const cardChance = new Float64Array(cardPlace.length);
    const sums = new Float64Array(places);
    this.#places.forEach(({ to, weights, cards }, i) => {
      let total = this.#menuWeight;
      for (const weight of weights) total += weight;
      for (const { weight } of cards.values()) total += weight;
      const part = total > 0 ? stays / total : 0;
      menuChance[i] = part;
      const met: number[] = [];
      const add = (place: number, weight: number) => {
        if (sums[place] === 0) met.push(place);
        sums[place]! += weight * part;
      };
      to.forEach((place, at) => add(place, weights[at]!));
      for (const [product, { unseen, weight }] of cards) {
        const page = this.#pageOf[product]!;
        if (page >= 0) add(page, weight);
        const at = next[product]!++;
        cardPlace[at] = i;
        cardSeen[at] = 1 - unseen;
        cardChance[at] = weight * part;
      }
      for (const place of met) {
        linkTo.push(place);
        linkChance.push(sums[place]!);
        sums[place] = 0;
      }
      linksFrom[i + 1] = linkTo.length;
    });
    return {
      places,
      begins,
      beginsAt: this.#beginsAt,
      linksFrom,
      linkTo: Uint32Array.from(linkTo),
      linkChance: Float64Array.from(linkChance),
      menuChance,
      menu,
      menuTo: this.#menuTo,
      cardsFrom,
      cardPlace,
      cardSeen,
      cardChance,
      pageOf: this.#pageOf,
    };
  }
}
