import fc from 'fast-check';
import type { ProposalBody, Proposed } from '../model/proposal';
import { productFields } from '../model/product-fields';
import { variantFields } from '../model/variant-fields';
import { namesOf } from '../model/fields';
import { productDefaults, type Product } from '../model/product';
import { variant as variantOf } from '../testing/product-parts';
import { productOf } from '../testing/shop';
import { asProposed, isNothing, onlyChanges, proposalRows, standsNow, withoutRows, type ToldIn } from './proposals';

const untold: ToldIn = () => '';
const variant = variantOf('v_tern', []);
const tern = {
  ...productDefaults,
  ...productOf('p_tern', { title: 'Tern', summary: 'Quick.' }),
  variants: [variant],
} as Product;
const nothing: Proposed = { product: {}, variants: {}, pictures: [], texts: {} };
const body = (proposed: Partial<Proposed>, over: Partial<ProposalBody> = {}): ProposalBody => ({
  ...nothing,
  ...proposed,
  made: null,
  was: standsNow({ ...nothing, ...proposed }, tern, untold),
  ...over,
});
const terms = { told: untold, currency: 'EUR' };

test('makers meet no field by oversight: these, and no others', () => {
  const of = (fields: typeof productFields | typeof variantFields, what: string) =>
    namesOf(fields, ({ makers }) => makers === what).sort();
  expect(of(productFields, 'propose')).toEqual(['description', 'summary', 'title']);
  expect(of(variantFields, 'propose')).toEqual(['barcode', 'cost', 'customsCode', 'price', 'supplierNumber', 'weight']);
  expect(of(variantFields, 'see')).toEqual(['sku', 'stock']);
});

test('each row tells what stands there and what is wanted, in words', () => {
  const rows = proposalRows(
    body({
      product: { title: 'Tern II', description: '<p>Wide <b>wings</b></p>' },
      variants: { [variant.id]: { price: 4_250, weight: 180 } },
      texts: { de: { title: 'Seeschwalbe' } },
    }),
    tern,
    terms,
  );
  expect(rows.map(({ key, label, nowWords, willWords }) => [key, label, nowWords, willWords])).toEqual([
    ['product/title', 'Title', 'Tern', 'Tern II'],
    ['product/description', 'Description', expect.any(String), 'Wide wings'],
    [`variant/${variant.id}/price`, 'Price', expect.stringMatching(/^€/), '€42.50'],
    [`variant/${variant.id}/weight`, 'Weight', expect.any(String), '180 g'],
    ['text/de/title', 'Title in German', '', 'Seeschwalbe'],
  ]);
});

test('what was changed since it was proposed is marked; once it is answered, it is told against what stood there then', () => {
  const proposal = body({ product: { title: 'Tern II' } });
  const later = { ...tern, title: 'Tern of May' };
  expect(proposalRows(proposal, later, terms)[0]).toMatchObject({ isOutdated: true, now: 'Tern of May' });
  expect(proposalRows(proposal, later, { ...terms, isOver: true })[0]).toMatchObject({
    isOutdated: false,
    now: 'Tern',
  });
  expect(proposalRows(proposal, tern, terms)[0]).toMatchObject({ isOutdated: false });
});

test('of a new product only what is filled in is told', () => {
  const rows = proposalRows(
    body(
      { product: { title: 'Heron', summary: '' }, variants: { [variant.id]: { price: 500, cost: null } } },
      { made: { options: [], variants: [variant] }, was: {} },
    ),
    undefined,
    terms,
  );
  expect(rows.map(({ label }) => label)).toEqual(['Title', 'Price']);
});

const proposals = fc.record({
  product: fc.record(
    { title: fc.constantFrom('Tern', 'Tern II'), summary: fc.constantFrom('Quick.', 'Slow.') },
    { requiredKeys: [] },
  ),
  variants: fc.oneof(
    fc.constant({}),
    fc.record({
      [variant.id]: fc.record(
        { price: fc.constantFrom(variant.price, variant.price + 1), cost: fc.constantFrom(variant.cost, 7) },
        { requiredKeys: [] },
      ),
    }),
  ),
  pictures: fc.constant([]),
  texts: fc.oneof(fc.constant({}), fc.constant({ de: { title: 'Seeschwalbe' } })),
}) as fc.Arbitrary<Proposed>;

test('law: only what is other is proposed; taking it leaves nothing to propose, and what is left out stays as it was', () => {
  fc.assert(
    fc.property(proposals, fc.func(fc.boolean()), (wanted, leave) => {
      const changes = onlyChanges(wanted, tern, untold);
      const rows = proposalRows(body(changes), tern, terms);
      for (const { now, will } of rows) expect(will).not.toEqual(now);
      expect(isNothing(changes)).toBe(rows.length === 0);
      const without = new Set(rows.map(({ key }) => key).filter((key) => leave(key)));
      const taken = withoutRows(changes, without);
      const after = asProposed(tern, taken);
      const left = onlyChanges({ ...changes, texts: {} }, after, untold);
      expect(new Set(proposalRows(body(left), after, terms).map(({ key }) => key))).toEqual(
        new Set([...without].filter((key) => !key.startsWith('text/'))),
      );
    }),
  );
});
