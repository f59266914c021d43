import fc from 'fast-check';
import { usualVisits } from '../model/visit-model';
import { seeded } from '../testing/seeded';
import { collectionOf, itemOf, pageOf, productOf, put, sectionOf, shopOf } from '../testing/shop';
import { exposuresOf, OWN_PAGE } from './exposure';
import { shopVisits } from './shop-visits';
import { VisitGraphBuilder, type VisitGraph } from './visit-graph';

/** A walk with its own small numbers of places and products, made from what fast-check comes up with. */
interface Drawn {
  places: number;
  pages: number[];
  links: [from: number, to: number, seen: number][];
  cards: [from: number, product: number, seen: number, isCard: boolean][];
  menu: [to: number, seen: number][];
  menuTo: [product: number, seen: number][];
  begins: number[];
  stays: number;
}

const seen = fc.double({ min: 0.05, max: 1, noNaN: true });
const drawnGraph = fc
  .record({ places: fc.integer({ min: 2, max: 6 }), products: fc.integer({ min: 1, max: 4 }) })
  .chain(({ places, products }) => {
    const place = fc.nat(places - 1);
    // The pages of products are places of their own: they come behind, some of them shared.
    const pages = fc.array(fc.integer({ min: places, max: places + 2 }), { minLength: products, maxLength: products });
    const from = fc.nat(places + 2);
    return fc.record({
      places: fc.constant(places + 3),
      pages,
      links: fc.array(fc.tuple(from, place, seen), { maxLength: 14 }),
      cards: fc.array(fc.tuple(from, fc.nat(products - 1), seen, fc.boolean()), { maxLength: 12 }),
      menu: fc.array(fc.tuple(place, seen), { maxLength: 3 }),
      menuTo: fc.array(fc.tuple(fc.nat(products - 1), seen), { maxLength: 2 }),
      begins: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: places + products, maxLength: places + products }),
      stays: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
    });
  })
  // A product does not stand on a page that is its own.
  .map((drawn) => ({ ...drawn, cards: drawn.cards.filter(([from, product]) => from !== drawn.pages[product]) }));

function graphOf({ places, pages, links, cards, menu, menuTo, begins, stays }: Drawn): VisitGraph {
  const builder = new VisitGraphBuilder(pages.length);
  for (let i = 0; i < places; i++) builder.addPlace();
  pages.forEach((page, product) => builder.setPage(product, page));
  for (const [from, to, weight] of links) builder.link(from, to, weight);
  for (const [from, product, weight, isCard] of cards) builder.card(from, product, weight, isCard);
  for (const [to, weight] of menu) builder.menuLink(to, weight);
  for (const [product, weight] of menuTo) builder.menuLinkTo(product, weight);
  const all = begins.reduce((sum, each) => sum + each, 0);
  begins.forEach((each, i) =>
    i < places - 3 ? builder.begin(i, each / all) : builder.beginAt(i - (places - 3), each / all),
  );
  return builder.build(stays);
}

/** One step of the walk of which the page of a product is a place by itself: chances by place, the product's page last. */
function chainOf(graph: VisitGraph, product: number): { next: number[][]; begins: number[]; sees: number[] } {
  const { places, linksFrom, linkTo, linkChance, menu, menuTo, menuChance, pageOf, cardsFrom, cardPlace } = graph;
  const page = pageOf[product]!;
  const chance = new Map<number, number>();
  const sees = Array.from({ length: places + 1 }, () => 0);
  sees[places] = 1;
  for (let at = cardsFrom[product]!; at < cardsFrom[product + 1]!; at++) {
    chance.set(cardPlace[at]!, graph.cardChance[at]!);
    sees[cardPlace[at]!] = graph.cardSeen[at]!;
  }
  const rowOf = (i: number): number[] => {
    const row = Array.from({ length: places + 1 }, () => 0);
    for (let at = linksFrom[i]!; at < linksFrom[i + 1]!; at++) row[linkTo[at]!]! += linkChance[at]!;
    for (let j = 0; j < places; j++) row[j]! += menuChance[i]! * menu[j]!;
    const own = (chance.get(i) ?? 0) + menuChance[i]! * menuTo[product]!;
    row[page]! -= own;
    row[places] = own;
    return row;
  };
  const next = Array.from({ length: places }, (_, i) => rowOf(i));
  next.push(rowOf(page));
  const begins = [...graph.begins, graph.beginsAt[product]!];
  begins[page]! -= graph.beginsAt[product]!;
  return { next, begins, sees };
}

/** The chance of seeing a product, by walking all ways at once until next to nobody is left. */
function bruteForce(graph: VisitGraph, product: number): number {
  const { next, begins, sees } = chainOf(graph, product);
  let unseen = begins;
  let sum = 0;
  for (let step = 0; step < 400; step++) {
    sum += unseen.reduce((all, chance, i) => all + chance * sees[i]!, 0);
    const left = unseen.map((chance, i) => chance * (1 - sees[i]!));
    unseen = next[0]!.map((_, j) => left.reduce((all, chance, i) => all + chance * next[i]![j]!, 0));
  }
  return sum;
}

test('exposure is what walking all ways at once comes to, place by place', () => {
  fc.assert(
    fc.property(drawnGraph, (drawn) => {
      const graph = graphOf(drawn);
      const { products, sightings } = exposuresOf(graph, 1e-12);
      drawn.pages.forEach((_, product) => {
        expect(products[product]).toBeCloseTo(bruteForce(graph, product), 7);
        const first = sightings(product).reduce((sum, each) => sum + each.first, 0);
        expect(first).toBeCloseTo(products[product]!, 10);
      });
    }),
    { numRuns: 300 },
  );
});

test('comings end as often as visits begin, and nothing is surer than certain', () => {
  fc.assert(
    fc.property(drawnGraph, (drawn) => {
      const graph = graphOf(drawn);
      const { entries, reached, products } = exposuresOf(graph, 1e-12);
      const { linksFrom, linkChance, menu, menuChance } = graph;
      const menuSum = menu.reduce((sum, each) => sum + each, 0);
      const ends = entries.reduce((sum, coming, i) => {
        let on = menuChance[i]! * menuSum;
        for (let at = linksFrom[i]!; at < linksFrom[i + 1]!; at++) on += linkChance[at]!;
        return sum + coming * (1 - on);
      }, 0);
      expect(ends).toBeCloseTo(1, 7);
      reached.forEach((chance, i) => {
        expect(chance).toBeLessThanOrEqual(1 + 1e-9);
        expect(chance).toBeLessThanOrEqual(entries[i]! + 1e-9);
      });
      for (const chance of products) expect(chance).toBeLessThanOrEqual(1 + 1e-9);
    }),
    { numRuns: 200 },
  );
});

test('a card that is seen better makes its product seen at least as often', () => {
  fc.assert(
    fc.property(drawnGraph, seen, (drawn, better) => {
      const [card] = drawn.cards;
      if (!card) return;
      const raised: Drawn = {
        ...drawn,
        cards: [[card[0], card[1], card[2] + (1 - card[2]) * better, card[3]], ...drawn.cards.slice(1)],
      };
      const before = exposuresOf(graphOf(drawn), 1e-12).products[card[1]]!;
      expect(exposuresOf(graphOf(raised), 1e-12).products[card[1]]!).toBeGreaterThanOrEqual(before - 1e-9);
    }),
    { numRuns: 200 },
  );
});

/** Forty products in a category, six of them in a strip at home, one that nothing leads to, a menu, a page in it. */
function kiteShop(reversed = false) {
  const goods = Array.from({ length: 40 }, (_, i) =>
    productOf(`p_${String(i).padStart(2, '0')}`, {
      categoryIds: i === 39 ? [] : ['c_deltas'],
      created: new Date(1_700_000_000_000 - i * 86_400_000).toISOString(),
    }),
  );
  const shop = shopOf(reversed ? goods.reverse() : goods);
  put(
    shop,
    'collection',
    'k_1',
    collectionOf('k_1', { source: 'picked', picked: ['p_30', 'p_31', 'p_32', 'p_33', 'p_34', 'p_35'] }),
  );
  const strip = {
    id: 's_1',
    kind: 'strip',
    title: 'Home',
    source: { kind: 'collection', id: 'k_1' },
    count: 6,
  } as const;
  put(
    shop,
    'page',
    'g_home',
    pageOf({
      sections: [
        sectionOf({ ...strip, columns: 3, shape: 'row' }),
        sectionOf({ id: 's_2', kind: 'tiles', title: '', targets: [{ kind: 'category', id: 'c_deltas' }] }),
      ],
    }),
  );
  put(shop, 'menu', 'menu', {
    items: [itemOf({ id: 'm_1', target: { kind: 'collection', id: 'k_1' } })],
    footer: [],
    top: [],
  });
  return shop;
}
const ofShop = (shop = kiteShop()) => {
  const { graph, places } = shopVisits(shop, usualVisits);
  const { products, sightings, reached } = exposuresOf(graph);
  const of = (id: string) => products[shop.index.slot(id)!]!;
  return { shop, graph, places, of, reached, sightings: (id: string) => sightings(shop.index.slot(id)!) };
};

test('what stands further on is seen less, and what nothing leads to only by a search or from outside', () => {
  const { of, places, sightings } = ofShop();
  expect(of('p_30')).toBeGreaterThan(of('p_33'));
  expect(of('p_33')).toBeGreaterThan(of('p_34'));
  expect(of('p_00')).toBeGreaterThan(of('p_12'));
  expect(of('p_12')).toBeGreaterThan(of('p_36'));
  expect(of('p_39')).toBeLessThan(of('p_36'));
  const kinds = (id: string) => sightings(id).map(({ place }) => (place === OWN_PAGE ? 'own' : places[place]!.kind));
  expect(kinds('p_39').sort()).toEqual(['own', 'search']);
  expect(kinds('p_30')[0]).toBe('page');
});

test('exposure does not depend on the order in which goods came', () => {
  const [one, other] = [ofShop(), ofShop(kiteShop(true))];
  for (const id of one.shop.products.keys()) expect(other.of(id)).toBeCloseTo(one.of(id), 4);
});

test('exposure is what a quarter of a million random visits see, within their error', () => {
  const { shop, graph, places, of } = ofShop();
  const random = seeded(20_261_128);
  const ids = ['p_30', 'p_33', 'p_00', 'p_12', 'p_36', 'p_39'];
  const visits = 40_000;
  for (const id of ids) {
    const { next, begins, sees } = chainOf(graph, shop.index.slot(id)!);
    const choose = (chances: readonly number[]): number => {
      let rest = random();
      return chances.findIndex((chance) => (rest -= chance) < 0);
    };
    let saw = 0;
    for (let visit = 0; visit < visits; visit++)
      for (let at = choose(begins); at >= 0; at = choose(next[at]!))
        if (random() < sees[at]!) {
          saw++;
          break;
        }
    const expected = of(id);
    const error = Math.sqrt((expected * (1 - expected)) / visits);
    expect(Math.abs(saw / visits - expected)).toBeLessThan(4 * error);
  }
  expect(places.filter(({ kind }) => kind === 'products').length).toBeLessThan(10);
});
