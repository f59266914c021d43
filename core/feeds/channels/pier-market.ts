import { field, type Channel } from './channel';

/** The departments of this market, by words that categories of a shop have. */
const departments: Readonly<Record<string, RegExp>> = {
  'Kites and air': /kite|drachen|delta|diamond|foil/i,
  'Lines and reels': /line|reel|winder|schnur/i,
  Workshop: /part|spar|cloth|repair|tool|workshop/i,
  'Books and courses': /book|plan|course|lesson/i,
};
const MOST_TITLE = 70;
const LEAST_PICTURE = 800;

/** A market that stands in for those that a shop might sell on: nothing leaves this machine. */
export const pierMarket: Channel = {
  key: 'pier-market',
  name: 'Pier market',
  about: 'A market that stands in for those outside: it fetches the feed here and sells nothing.',
  asks: [
    'a barcode',
    `a picture of at least ${LEAST_PICTURE} pixels`,
    `a title of at most ${MOST_TITLE} letters`,
    `a department: ${Object.keys(departments).join(', ')}`,
    'a price above zero',
  ],
  fields: [
    field('number', 'id'),
    field('title', 'title'),
    field('text', 'description'),
    field('address', 'link'),
    field('picture', 'picture'),
    field('price', 'price'),
    field('reduced_price', 'salePrice'),
    field('available', 'availability'),
    field('barcode', 'barcode'),
    field('brand', 'brand'),
    field('department', 'category'),
  ],
  refuses: (told, { entry: { product, variant } }) => {
    const why: string[] = [];
    if (told('barcode') === '') why.push('It has no barcode.');
    const face = product.pictures.find(({ id }) => id === variant.pictureId) ?? product.pictures[0];
    if (told('picture') === '' || !face) why.push('It has no picture.');
    else if (Math.max(face.width, face.height) < LEAST_PICTURE)
      why.push(
        `Its picture is ${Math.max(face.width, face.height)} pixels wide or high: at least ${LEAST_PICTURE} are needed.`,
      );
    const { length } = [...told('title')];
    if (length === 0) why.push('It has no title.');
    else if (length > MOST_TITLE) why.push(`Its title has ${length} letters: at most ${MOST_TITLE} are read.`);
    if (!Object.values(departments).some((words) => words.test(told('department'))))
      why.push(
        told('department') === '' ? 'It is in no category.' : `“${told('department')}” is none of its departments.`,
      );
    if (!(Number.parseFloat(told('price')) > 0)) why.push('It has no price above zero.');
    return why;
  },
};
