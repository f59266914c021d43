import { listingRequest } from './listing-request';

const read = (query: Record<string, unknown>) => listingRequest(query, { kind: 'all' }, 'en');

test('values come after one another, or each by itself, as a form without script sends them', () => {
  const both = [['ember', 'pine']];
  expect([...read({ 'f.colourway': 'ember,pine' }).choices.values()]).toEqual(both);
  expect([...read({ 'f.colourway': ['ember', 'pine'] }).choices.values()]).toEqual(both);
});

test('the two ends of a span may come by themselves; empty ones ask for nothing', () => {
  expect(read({ 'f.price.from': '10', 'f.price.to': '' }).price).toEqual({ min: 1_000, max: Infinity });
  expect(read({ 'f.price.from': '10', 'f.price.to': '20,50' }).price).toEqual({ min: 1_000, max: 2_050 });
  expect(read({ 'f.price.from': '', 'f.price.to': '' }).price).toBeNull();
  expect(read({ 'f.spec.a_span.from': '80', 'f.spec.a_span.to': '120' }).spans.get('spec.a_span')).toEqual({
    min: 80,
    max: 120,
  });
  // What was written as one stands above what a form sends along.
  expect(read({ 'f.price': '5..6', 'f.price.from': '10' }).price).toEqual({ min: 500, max: 600 });
  expect(() => read({ 'f.price.from': 'cheap' })).toThrow();
});

test('a form sends prices as they were typed', () => {
  expect(read({ 'f.price.from': '€20', 'f.price.to': '1,000.50' }).price).toEqual({ min: 2_000, max: 100_050 });
});
