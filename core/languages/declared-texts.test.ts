import type { z } from 'zod';
import { embedSchema } from '../model/embed';
import { categorySchema, collectionSchema } from '../model/group';
import { menuSchema } from '../model/menu';
import { offerSchema } from '../model/offer';
import { pageSchema } from '../model/page';
import { productSchema } from '../model/product';
import { settingsSchema } from '../model/settings';
import { specSheetSchema } from '../model/spec-sheet';
import { markOf } from '../model/translatable';

type Def = Record<string, unknown> & { type: string };

/** Paths of all free texts of a schema that are not declared as translated. Ids, choices and patterns are no texts. */
function undeclared(schema: z.ZodType, path: string, met = new Set<z.ZodType>()): string[] {
  if (markOf(schema) || met.has(schema)) return [];
  met.add(schema);
  const def = (schema as unknown as { def: Def }).def;
  const into = (inner: unknown, name = '') =>
    undeclared(inner as z.ZodType, name ? `${path}.${name}` : path, new Set(met));
  switch (def.type) {
    case 'string':
      return [path];
    case 'object':
      return Object.entries(def.shape as Record<string, z.ZodType>).flatMap(([name, field]) => into(field, name));
    case 'array':
      return into(def.element, '#');
    case 'record':
      return into(def.valueType, '*');
    case 'union':
      return (def.options as z.ZodType[]).flatMap((each) => into(each));
    case 'intersection':
      return [...into(def.left), ...into(def.right)];
    case 'lazy':
      return into((def.getter as () => z.ZodType)());
    case 'pipe':
      return into(def.in);
    default:
      return def.innerType ? into(def.innerType) : [];
  }
}

/** What no shopper reads as a text: ids, moments, codes, addresses, what only the seller writes or finds things by. */
const noTexts =
  /(?:\b(?:id|ids|\w+Ids?|key|keys|\w+Key|media|hash|content|from|until|changed|created|liveFrom|liveUntil|saleFrom|saleUntil|url|sku|barcode|customsCode|supplier|background|swatch|colours?|anchor|slug|locale|currency|timeZone|domain|country|countries|synonyms|terms?|as|glossary|value|of|field|text|rule|unit|film|captions|name|note|accent|ink|ground|type|by|part|parts|pins|picked|leftOut|excludedCombinations|values|categoryIds|tagIds|company|person|street|postcode|city|mail|phone|registration|taxNumber|senderName|senderMail|label|relations|targets|specs|customFields|bundle|pictureOf)\b|#$)/;

const schemas = {
  product: productSchema.omit({ options: true }),
  category: categorySchema,
  collection: collectionSchema,
  specSheet: specSheetSchema,
  page: pageSchema,
  menu: menuSchema,
  offer: offerSchema,
  embed: embedSchema,
  settings: settingsSchema,
};

/** Free texts under names that are often something else: each is known, and known to be no text that shoppers read. */
const known = [
  // What shoppers type, not what they read.
  'settings.searches.leads.#.words',
  // The seller's own name for a sheet, a section, an embed.
  'specSheet.name',
  'page.sections.#.label',
  'embed.name',
  'embed.strip.label',
  // Numbers of suppliers, ids under other names, colours of the look, and the glossary itself.
  'product.variants.#.supplierNumber',
  'product.bundle.slots.#.usual',
  'page.sections.#.childrenOf',
  'embed.strip.childrenOf',
  'settings.languages.glossary.#.as.*',
  // Names of the places that the shop has elsewhere.
  'settings.contact.social.#.name',
];

test('every free text of a thing is declared as translated, or known to be none', () => {
  const found = Object.entries(schemas).flatMap(([name, schema]) => undeclared(schema, name));
  const unknown = [...new Set(found)].filter(
    (path) =>
      !noTexts.test(path.split('.').at(-1)!) && !known.includes(path) && !path.startsWith('settings.look.colours.'),
  );
  expect(unknown).toEqual([]);
});

test('texts under common names are declared where shoppers read them', () => {
  const found = new Set(Object.entries(schemas).flatMap(([name, schema]) => undeclared(schema, name)));
  const named = [...found].filter((path) => /\.(?:name|label|text|words|title|note)$/.test(path)).sort();
  expect(named.filter((path) => !known.includes(path) && !/(?:rule|bundle|synonyms|source|goods)/.test(path))).toEqual(
    [],
  );
});
