import { categoryDefaults, namedDefaults, type Brand, type Category, type Tag } from '../core/model/group';
import { productDefaults, variantDefaults, type Option, type Product, type Variant } from '../core/model/product';
import { seeded } from './random';

/** A made-up catalog of any size for measuring: the same size and seed always give the same one. */
export interface ScaledCatalog {
  products: Product[];
  categories: Category[];
  brands: Brand[];
  tags: Tag[];
}

const first =
  'harrier petrel wren tern skua plover heron swift linnet marsh storm gannet fulmar knot dunlin sparrow'.split(' ');
const second =
  'delta diamond sled pocket box foil quad sport reel winder spool line spar cloth tail windsock glider'.split(' ');
const third = 'light strong small large indoor beach night travel vented training classic paper harbour signal'.split(
  ' ',
);
const filler =
  'wind sail frame carbon glass nylon seam loop bridle knot edge panel calm breeze dune pier coast meadow harbour morning evening hand string turn lift pull fold bag spare easy quick steady bright'.split(
    ' ',
  );
/** A few thousand made-up words: texts of a real catalog hold many words that are rare. */
const syllables = 'ba ce di fo gu ha ki lo mu na pe ri so tu va we yo za chi tro'.split(' ');
const rareWords = syllables.flatMap((a) => syllables.flatMap((b) => syllables.slice(0, 8).map((c) => a + b + c)));

const optionNames = ['Colourway', 'Size', 'Line set', 'Length', 'Strength', 'Diameter', 'Finish', 'Pack'];
const VALUES_PER_OPTION = 12;
const NOW = Date.UTC(2026, 0, 1);

const pad = (n: number) => String(n).padStart(7, '0');

/** Numbers of a lower rank are more likely, as with real brands and tags. */
const skewed = (random: () => number, size: number) => Math.floor(size * random() ** 2);

export function scaledCatalog(size: number, seed = 7): ScaledCatalog {
  const random = seeded(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const slugged = (prefix: string, name: string, count: number) =>
    Array.from({ length: count }, (_, i) => ({
      id: `${prefix}_${pad(i)}`,
      name: `${name} ${i}`,
      slug: `${name}-${i}`.toLowerCase(),
    }));
  const brands = slugged('b', 'Brand', 60).map((brand) => ({ ...namedDefaults, ...brand }));
  const tags = slugged('t', 'Tag', 300).map((tag) => ({ ...namedDefaults, ...tag }));
  const categories = slugged('c', 'Category', 120).map((category, i): Category => {
    const parent = i < 8 ? null : i < 40 ? (i - 8) % 8 : 8 + ((i - 40) % 32);
    return { ...categoryDefaults, ...category, parentId: parent === null ? null : `c_${pad(parent)}`, position: i };
  });
  const leaves = categories.slice(40);
  const words = [...filler, ...rareWords];
  const word = () => words[Math.floor(words.length * random() ** 3)]!;

  const products = Array.from({ length: size }, (_, i): Product => {
    const options = Array.from({ length: 1 + Math.floor(random() * 2) }, (_unused, o): Option => {
      const name = optionNames[(skewed(random, optionNames.length) + o * 3) % optionNames.length]!;
      return {
        id: `o_${pad(i)}${o}`,
        name,
        listId: null,
        values: Array.from({ length: 1 + Math.floor(random() * 3) }, (_v, v) => ({
          id: `w_${pad(i)}${o}${v}`,
          name: `${name} ${(skewed(random, VALUES_PER_OPTION) + v) % VALUES_PER_OPTION}`,
          swatch: null,
          pictureId: null,
        })),
      };
    }).filter((option, o, all) => all.findIndex((other) => other.name === option.name) === o);
    const price = 200 + Math.floor(random() ** 3 * 40_000);
    let rows: string[][] = [[]];
    for (const option of options) rows = rows.flatMap((row) => option.values.map((value) => [...row, value.id]));
    const variants = rows.map((values, v): Variant => ({
      ...variantDefaults,
      id: `v_${pad(i)}${v}`,
      values,
      sku: `SK${i}-${v}`,
      price: price + v * 150,
      salePrice: random() < 0.12 ? Math.floor(price * 0.8) : null,
      cost: Math.floor(price * 0.45),
      pictureId: null,
      stock: random() < 0.1 ? 0 : Math.floor(random() * 80),
    }));
    const title = `${pick(first)} ${pick(second)} ${pick(third)} ${100 + (i % 900)}`;
    return {
      ...productDefaults,
      id: `p_${pad(i)}`,
      kind: random() < 0.9 ? 'physical' : 'digital',
      title,
      summary: Array.from({ length: 8 }, word).join(' '),
      description: `<p>${Array.from({ length: 22 }, word).join(' ')}</p>`,
      slug: `product-${i}`,
      status: 'live',
      featured: random() < 0.04,
      brandId: brands[skewed(random, brands.length)]!.id,
      categoryIds: [pick(leaves).id, ...(random() < 0.3 ? [pick(leaves).id] : [])].filter(
        (id, at, all) => all.indexOf(id) === at,
      ),
      tagIds: [...new Set(Array.from({ length: 10 }, () => tags[skewed(random, tags.length)]!.id))],
      options,
      variants,
      pictures: [],
      created: new Date(NOW - Math.floor(random() * 700) * 86_400_000 - i * 1000).toISOString(),
    };
  });
  return { products, categories, brands, tags };
}
