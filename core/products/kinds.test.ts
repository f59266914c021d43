import { variantDefaults, productDefaults, type Product } from '../model/product';
import { productKinds } from '../model/product-values';
import { variant } from '../testing/product-parts';
import { emptiedBy, isSent, kindParts, lostBy, noDelivery } from './kinds';

const file = (role: 'download' | 'sample' | 'manual') => ({
  id: `f_${role}`,
  role,
  name: role,
  bytes: 1,
  content: 'a'.repeat(40),
  variantId: null,
});
const full: Product = {
  ...productDefaults,
  id: 'p_1',
  created: '2027-01-01T00:00:00.000Z',
  kind: 'physical',
  title: 'Tern',
  slug: 'tern',
  summary: '',
  description: '',
  status: 'live',
  featured: false,
  brandId: null,
  categoryIds: [],
  tagIds: [],
  options: [],
  variants: [variant('v_1', [])],
  pictures: [],
  weight: 300,
  size: { length: 10, width: 10, height: 10 },
  packageType: 'tube',
  dispatchDays: 2,
  duration: 90,
  ownValue: { from: 1_000, upTo: 2_000 },
  bundle: {
    slots: [{ id: 'z_1', label: 'Kite', from: { how: 'picked', ids: [] }, min: 1, max: 1, usual: null }],
    pricing: { how: 'fixed' },
  },
  files: [file('download'), file('sample'), file('manual')],
};

test('what a kind does not have is told before it is lost, each thing once', () => {
  expect(lostBy(full, 'physical')).toEqual([
    'how long it takes',
    'the value that shoppers may choose',
    'what is in it',
    'its files for buyers',
  ]);
  expect(lostBy(full, 'digital')).toEqual([
    'its weight',
    'its package',
    'its days to dispatch',
    'how long it takes',
    'the value that shoppers may choose',
    'what is in it',
  ]);
  expect(lostBy(full, 'bundle')).toContain('how long it takes');
  expect(lostBy(full, 'bundle')).not.toContain('what is in it');
});

test('delivery facts of a single variant count too; where nothing is filled in nothing is lost', () => {
  const plain: Product = { ...full, ...noDelivery, duration: null, ownValue: null, bundle: null, files: [] };
  for (const kind of productKinds) expect(lostBy(plain, kind)).toEqual([]);
  const heavy = { ...plain, variants: [variant('v_1', []), variant('v_2', [], { weight: 5 })] };
  expect(lostBy(heavy, 'service')).toEqual(['its weight']);
  expect(lostBy({ ...plain, packageType: 'tube' }, 'service')).toEqual(['its package']);
  expect(lostBy({ ...plain, dispatchDays: 0 }, 'service')).toEqual(['its days to dispatch']);
  const declared = { ...plain, variants: [variant('v_1', [], { customsCode: '95030000' })] };
  expect(lostBy(declared, 'service')).toEqual(['its customs code']);
  expect(lostBy({ ...plain, downloadDays: 3 }, 'service')).toEqual(['its days to download']);
});

test('what is emptied by a kind is exactly what it tells as lost', () => {
  for (const kind of productKinds) {
    const after = { ...full, ...emptiedBy(kind, full.files) };
    expect(lostBy(after, kind)).toEqual([]);
    expect(after.files.some(({ role }) => role === 'manual')).toBe(true);
    if (kindParts[kind].downloads) expect(after.files).toHaveLength(3);
  }
  expect(emptiedBy('physical')).not.toHaveProperty('weight');
  expect(emptiedBy('service')).toMatchObject({ weight: null, size: null, packageType: '', files: [] });
  for (const [name, usual] of Object.entries(noDelivery)) expect(variantDefaults).toHaveProperty(name, usual);
});

test('what is brought to the shopper, and what each kind is called', () => {
  expect(productKinds.filter((kind) => isSent({ kind }))).toEqual(['physical', 'bundle']);
  expect(new Set(productKinds.map((kind) => kindParts[kind].name)).size).toBe(productKinds.length);
  expect(kindParts.bundle.options).toBe(false);
});
