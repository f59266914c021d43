import { gtinCheckDigit } from '../core/shared/barcode';
import { productDefaults, variantDefaults, type Product, type Variant } from '../core/model/product';
import type { Attribute, SpecSheet, SpecValue } from '../core/model/spec-sheet';
import type { DemoProduct } from './lark-and-line';
import { seeded, seedOf } from './random';

const attribute = (id: string, name: string, over: Partial<Attribute> = {}): Attribute => ({
  id: `a_${id}`,
  name,
  type: 'number',
  unit: '',
  choices: [],
  heading: '',
  required: false,
  shown: true,
  filterable: false,
  ...over,
});

const choice = (id: string, name: string, names: readonly string[], over: Partial<Attribute> = {}) =>
  attribute(id, name, {
    type: 'choice',
    filterable: true,
    choices: names.map((each, i) => ({ id: `q_${id.slice(0, 12)}${i}`, name: each })),
    ...over,
  });

const wingspan = attribute('wingspan', 'Wingspan', { unit: 'cm', required: true, filterable: true });
const wind = attribute('windrange', 'Wind', { type: 'range', unit: 'Bft', required: true, filterable: true });
const skill = choice('skilllevel', 'Skill', ['Beginner', 'Some practice', 'Experienced'], { required: true });
const sail = choice('sailcloth', 'Sail', ['Ripstop nylon', 'Ripstop polyester', 'Paper', 'Light nylon'], {
  heading: 'Made of',
});
const frame = choice('framespars', 'Frame', ['Glass fibre', 'Carbon', 'Bamboo', 'No frame'], { heading: 'Made of' });
const packed = attribute('packedlength', 'Packed length', { unit: 'cm', heading: 'On the way' });
const age = attribute('agefrom', 'Age from', { unit: 'years' });
const strength = attribute('linestrength', 'Line strength', { unit: 'daN' });
const lines = choice('linecount', 'Lines', ['Two', 'Four'], { required: true });
const fibre = choice('linefibre', 'Fibre', ['Polyester', 'High-strength', 'Cotton'], { required: true });
const sparSort = choice('sparsort', 'Material', ['Carbon', 'Glass fibre', 'Bamboo'], { required: true });
const sparLength = attribute('sparlength', 'Length', { unit: 'cm', required: true });
const clothWeight = attribute('clothweight', 'Weight', { unit: 'g/m²', required: true });
const clothWidth = attribute('clothwidth', 'Width', { unit: 'cm' });
const glows = attribute('glows0', 'Glows', { type: 'yesNo', filterable: true });
const pages = attribute('planpages', 'Pages', {});
const paper = choice('planpaper', 'Paper', ['A4', 'A3'], {});
const hours = attribute('planhours', 'Hours to build', { type: 'range', unit: 'h' });

const sheet = (id: string, name: string, attributes: Attribute[]): SpecSheet => ({ id: `x_${id}`, name, attributes });

export const specSheets = [
  sheet('singleline', 'Single-line kite', [wingspan, wind, skill, age, strength, sail, frame, packed]),
  sheet('multiline', 'Multi-line kite', [wingspan, wind, skill, lines, strength, sail, frame, packed]),
  sheet('kiteline', 'Line', [fibre, strength]),
  sheet('kitespar', 'Spar', [sparSort, sparLength]),
  sheet('sailcloth', 'Cloth', [clothWeight, clothWidth, sail, glows]),
  sheet('buildplan', 'Plan', [pages, paper, hours, skill]),
];

const sheetOf: Record<string, string> = {
  Deltas: 'x_singleline',
  Diamonds: 'x_singleline',
  'Sleds & pockets': 'x_singleline',
  'Box kites': 'x_singleline',
  'Sport kites': 'x_multiline',
  Foils: 'x_multiline',
  'Quad-line kites': 'x_multiline',
  Line: 'x_kiteline',
  Spars: 'x_kitespar',
  'Sail cloth': 'x_sailcloth',
  'Plans & sounds': 'x_buildplan',
};

const pickOf = (of: Attribute, at: number): SpecValue => [of.choices[at % of.choices.length]!.id];
const range = (min: number, max: number): SpecValue => ({ min: min * 1000, max: max * 1000 });

/** Values that fit a product: sizes from its title where it tells them, the rest by its seed. */
function specsOf(product: DemoProduct): Record<string, SpecValue> {
  const random = seeded(seedOf(`${product.title} specs`));
  const sheetId = sheetOf[product.category];
  const told = Number(/\d{2,3}/.exec(product.title)?.[0] ?? 0);
  const from = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const isFirst = product.tags.includes('first kite');
  const isLight = product.tags.includes('light wind');
  const isFoil = product.category === 'Foils';
  const kite = () => {
    const low = isLight ? 1 : from(2, 3);
    const hasNoFrame = isFoil || product.category === 'Sleds & pockets';
    const span = told >= 60 ? told : from(7, 22) * 10;
    return {
      [wingspan.id]: span * 1000,
      [wind.id]: range(low, low + from(2, 3)),
      [skill.id]: pickOf(skill, isFirst ? 0 : product.category.includes('line') ? from(1, 2) : from(0, 1)),
      [strength.id]: from(2, 12) * 5_000,
      [sail.id]: pickOf(sail, product.title.startsWith('Paper') ? 2 : from(0, 1)),
      [frame.id]: pickOf(frame, hasNoFrame ? 3 : from(0, 2)),
      // A few were never measured: a loose end.
      ...(random() < 0.8 ? { [packed.id]: Math.round(span * (hasNoFrame ? 0.25 : 0.55)) * 1000 } : {}),
    };
  };
  switch (sheetId) {
    case 'x_singleline':
      return { ...kite(), [age.id]: (isFirst ? 5 : from(6, 10)) * 1000 };
    case 'x_multiline':
      return { ...kite(), [lines.id]: pickOf(lines, product.category === 'Quad-line kites' ? 1 : 0) };
    case 'x_kiteline':
      return {
        [fibre.id]: pickOf(fibre, product.title.startsWith('Cotton') ? 2 : from(0, 1)),
        [strength.id]: from(3, 14) * 5_000,
      };
    case 'x_kitespar':
      return {
        [sparSort.id]: pickOf(
          sparSort,
          product.title.startsWith('Bamboo') ? 2 : product.title.startsWith('Glass') ? 1 : 0,
        ),
        [sparLength.id]: (told >= 60 ? told : 150) * 1000,
      };
    case 'x_sailcloth':
      return {
        [clothWeight.id]: from(26, 48) * 1000,
        [clothWidth.id]: 150_000,
        [sail.id]: pickOf(sail, product.title.includes('polyester') ? 1 : 0),
        [glows.id]: product.title.startsWith('Glow'),
      };
    case 'x_buildplan':
      return product.title.startsWith('Build plan')
        ? {
            [pages.id]: from(4, 16) * 1000,
            [paper.id]: pickOf(paper, from(0, 1)),
            [hours.id]: range(2, 2 + from(1, 6)),
            [skill.id]: pickOf(skill, from(0, 2)),
          }
        : {};
    default:
      return {};
  }
}

const DAY = 86_400_000;

type Depth = Pick<Product, keyof typeof productDefaults>;

/** What a product says beyond words, pictures, options and prices. `now`: ms since 1970. */
export function depthOf(product: DemoProduct, now: number): Depth {
  const random = seeded(seedOf(`${product.title} depth`));
  const { kind = 'physical', category } = product;
  const specSheetId = kind === 'physical' || category === 'Plans & sounds' ? (sheetOf[category] ?? null) : null;
  const isSent = kind === 'physical';
  const isLong = ['Spars', 'Sport kites', 'Deltas', 'Quad-line kites'].includes(category);
  const depth: Depth = {
    ...productDefaults,
    specSheetId,
    specs: specSheetId ? specsOf(product) : {},
    weight: isSent ? 40 + Math.floor(random() * 70) * 10 : null,
    size: isSent
      ? isLong
        ? { length: 900 + Math.floor(random() * 6) * 50, width: 80, height: 80 }
        : { length: 300 + Math.floor(random() * 6) * 20, width: 200, height: 40 + Math.floor(random() * 5) * 10 }
      : null,
    packageType: isSent ? (isLong ? 'tube' : 'parcel') : '',
    dispatchDays: isSent ? 1 + Math.floor(random() * 3) : null,
    supplier: isSent ? ['Harbour Cloth Works', 'Northern Rods', 'own workshop'][Math.floor(random() * 3)]! : '',
  };
  if (product.sale)
    depth.saleUntil = new Date(
      Math.ceil(now / DAY) * DAY + (6 + Math.floor(random() * 20)) * DAY - 3_600_000,
    ).toISOString();
  if (category === 'Line' || category === 'Sail cloth') depth.unitPricing = 'm';
  if (['Connectors & tape', 'Spars', 'Sail cloth'].includes(category))
    depth.quantityPrices = [
      { from: 5, off: 500 },
      { from: 20, off: 1_200 },
    ];
  if (product.odd === 'soldOut' && random() < 0.5) {
    depth.whenSoldOut = 'order';
    depth.orderDelay = 'Can be ordered: sewn again in about three weeks';
  } else if (product.odd === 'soldOut') depth.whenSoldOut = 'last';
  if (kind === 'service')
    depth.duration = product.title.startsWith('First-flight') ? 180 : product.title.includes('hour') ? 60 : 150;
  if (kind === 'giftCard') depth.ownValue = { from: 1_000, upTo: 25_000 };
  if (product.title === 'Hall glider class set' || product.title.startsWith('Build a sled with'))
    depth.priceOnRequest = true;
  if (isSent && product.tags.includes('first kite'))
    depth.customFields = [{ label: 'In the box', value: 'kite, sleeve, one page that says how to start' }];
  return depth;
}

/** What a variant says beyond SKU, price and stock. The range 200 to 299 of EAN is free for use inside a shop. */
export function variantDepth(
  product: DemoProduct,
  names: readonly string[],
  at: number,
): Pick<Variant, keyof typeof variantDefaults> {
  const seed = seedOf(`${product.title} ${at}`) % 1_000_000_000;
  const isSent = (product.kind ?? 'physical') === 'physical';
  const twelve = `200${String(seed).padStart(9, '0')}`;
  const metres = /(\d+) m\b/.exec([...names, product.title].join(' '))?.[1];
  const isCloth = product.category === 'Sail cloth' && !product.title.startsWith('Offcut');
  const content = metres ? Number(metres) * 1000 : isCloth ? (product.title.includes('half') ? 500 : 1000) : null;
  return {
    ...variantDefaults,
    barcode: isSent ? twelve + String(gtinCheckDigit(twelve)) : '',
    supplierNumber: isSent ? `H-${String(seed % 100_000).padStart(5, '0')}` : '',
    customsCode: isSent ? '95030099' : '',
    warnAt: isSent && product.odd !== 'notCounted' ? 3 : null,
    content: ['Line', 'Sail cloth'].includes(product.category) ? content : null,
  };
}

/** Titles that go with a product: what one needs beside it, and the next one up. */
export function relationsOf(product: DemoProduct): { goesWith: string[]; stepUp: string[] } {
  const near: Record<string, { goesWith: string[]; stepUp: string[] }> = {
    Deltas: { goesWith: ['Beech reel', 'Twisted line 50 m', 'Ribbon tail 6 m'], stepUp: ['Heron delta 300'] },
    Diamonds: { goesWith: ['Hoop winder', 'Cotton line 100 m', 'Tube tail 10 m'], stepUp: [] },
    'Sleds & pockets': { goesWith: ['Pocket winder', 'Spinning tail'], stepUp: ['Wagtail delta 120'] },
    'Sport kites': {
      goesWith: ['Sleeved dual-line set', 'Finger straps', 'Dual-line winder'],
      stepUp: ['Gannet sport kite XL'],
    },
    Foils: { goesWith: ['Dual-line winder', 'Sleeved dual-line set'], stepUp: ['Ebb foil 2.5'] },
    'Quad-line kites': { goesWith: ['Quad-line set 25 m'], stepUp: ['Team quad'] },
    Spars: { goesWith: ['Ferrule pack', 'T-connector', 'Nock set'], stepUp: [] },
    'Sail cloth': { goesWith: ['Ripstop repair tape', 'Edge binding 10 m', 'Needle and thread kit'], stepUp: [] },
  };
  const { goesWith = [], stepUp = [] } = near[product.category] ?? {};
  return { goesWith, stepUp: stepUp.filter((title) => title !== product.title) };
}
