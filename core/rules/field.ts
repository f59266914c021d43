import { type Attribute } from '../model/spec-sheet';
import { SPEC_SCALE } from '../products/spec-values';
import { productKinds } from '../model/product-values';
import { taxClassNames } from '../pricing/tax';
import { kindParts } from '../products/kinds';
import { fold } from '../shared/fold';
import { plainText } from '../shared/plain-text';
import { Bitset } from '../search/bitset';
import type { Operator } from '../model/rule';
import type { ProductFacts, VariantFacts } from './facts';

type FieldType = 'text' | 'choice' | 'number' | 'money' | 'date' | 'yesNo';

/** A field as far as words need it. */
export type FieldWords = Pick<Field, 'key' | 'label' | 'type' | 'choices' | 'unit' | 'mayLack'>;
export type FieldNames = ReadonlyMap<string, FieldWords>;

/**
 * One thing that a rule can ask about. `key` also names the posting facet or the number column of the finder that
 * holds the same fact, so that predicate and set evaluation read one source.
 */
export interface Field {
  key: string;
  label: string;
  type: FieldType;
  /** values of the product */
  read: (facts: ProductFacts) => readonly string[] | number | string | boolean;
  /** the same of one variant; absent where a variant has no such fact */
  readVariant?: (facts: VariantFacts) => readonly string[] | number | boolean;
  /** for choices: id or key → words; undefined when it no longer exists */
  choices?: ReadonlyMap<string, string>;
  /** for numbers: what they count; kept in parts of it, so many to one */
  unit?: { words: string; parts: number };
  /** a product may be without it */
  mayLack?: boolean;
  /** may be below zero */
  signed?: boolean;
  /** answer instead of the finder and of `read`, for a choice that follows from more than the product itself */
  setOf?: (value: string) => Bitset;
  has?: (facts: ProductFacts, value: string) => boolean;
}

const operatorsOf: Record<FieldType, readonly Operator[]> = {
  text: ['contains', 'starts', 'equals'],
  choice: ['anyOf', 'noneOf'],
  number: ['above', 'atLeast', 'equals', 'atMost', 'below', 'between'],
  money: ['below', 'atMost', 'equals', 'atLeast', 'above', 'between'],
  date: ['inLast', 'after', 'before'],
  yesNo: ['yes', 'no'],
};

/** Facet of products without words in a text field; its values are the keys of those fields. */
export const WORDLESS = 'wordless';

/** Operators of a field; only where a product may lack a value can that be asked for. */
export const operatorsFor = (field: Pick<Field, 'type' | 'mayLack'>): readonly Operator[] =>
  field.mayLack ? [...operatorsOf[field.type], 'filled', 'empty'] : operatorsOf[field.type];

export const operatorWords: Record<Operator, string> = {
  contains: 'contains',
  starts: 'starts with',
  anyOf: 'is',
  noneOf: 'is not',
  below: 'is below',
  atMost: 'is at most',
  equals: 'is exactly',
  atLeast: 'is at least',
  above: 'is above',
  between: 'is between',
  before: 'before',
  after: 'after',
  inLast: 'in the last',
  yes: 'yes',
  no: 'no',
  filled: 'is set',
  empty: 'is not set',
};

/** Texts that are seldom asked for are read from the product itself, and not held a second time. */
const codesOf = ({ variants }: ProductFacts['document'], code: 'sku' | 'barcode') =>
  variants
    .map((variant) => variant[code])
    .join(' ')
    .trim();

/** Key of the field that asks in which collections a product is. */
export const COLLECTION_FIELD = 'collection';

/** Spans of days over which rules, orders and columns can ask what was sold. */
export const SOLD_WITHIN = [7, 30, 60, 90, 365] as const;
const soldField = (days: (typeof SOLD_WITHIN)[number]) => `sold${days}`;

const percent = { words: '%', parts: 100 };

/** Names of the things that rules can point at, by id. */
export interface FieldData {
  categories: ReadonlyMap<string, string>;
  tags: ReadonlyMap<string, string>;
  brands: ReadonlyMap<string, string>;
  /** option key → its label and its values by key */
  options: ReadonlyMap<string, { label: string; values: ReadonlyMap<string, string> }>;
  /** each with the name of its spec sheet */
  attributes: readonly (Attribute & { sheet?: string })[];
  suppliers: ReadonlyMap<string, string>;
  collections: {
    names: ReadonlyMap<string, string>;
    /** those that a product is in */
    ofProduct: (id: string) => readonly string[];
    /** who is in one */
    members: (id: string) => Bitset;
    has: (id: string, productId: string) => boolean;
  };
}

export type FieldRegistry = ReadonlyMap<string, Field>;

/** Keys under which an attribute joins the registry; a range joins it with both its ends. */
export const specField = (attributeId: string) => `spec.${attributeId}`;
export const specFrom = (field: string) => `${field}.from`;
export const specUpTo = (field: string) => `${field}.upTo`;

/** Key under which the option `key` joins the registry. */
export const optionField = (key: string) => `option.${key}`;
/** The option key of a field that `optionField` named; undefined for other fields. */
export const optionOfField = (field: string) =>
  field.startsWith('option.') ? field.slice('option.'.length) : undefined;

const statusWords = new Map([
  ['live', 'live'],
  ['changed', 'changed since live'],
  ['draft', 'draft'],
  ['waiting', 'waiting for its day'],
  ['ended', 'past its day'],
  ['off', 'off the shop'],
  ['soldOut', 'sold out'],
]);

/**
 * The fields that every shop has. docs/adding.md says what a new one needs. The index files a product under its choices in
 * this order, and looks for them from the front: those that shoppers choose among stand first.
 */
function fixedFields(data: FieldData): Field[] {
  return [
    { key: 'title', label: 'Title', type: 'text', read: (facts) => facts.title },
    {
      key: 'category',
      label: 'Category',
      type: 'choice',
      read: (facts) => facts.category,
      choices: data.categories,
      mayLack: true,
    },
    { key: 'tag', label: 'Tag', type: 'choice', read: (facts) => facts.tag, choices: data.tags, mayLack: true },
    {
      key: 'brand',
      label: 'Brand',
      type: 'choice',
      read: (facts) => (facts.brand ? [facts.brand] : []),
      choices: data.brands,
      mayLack: true,
    },
    {
      key: 'price',
      label: 'Price',
      type: 'money',
      read: (facts) => facts.price,
      readVariant: (variant) => variant.price,
    },
    {
      key: 'onSale',
      label: 'On sale',
      type: 'yesNo',
      read: (facts) => facts.onSale,
      readVariant: (variant) => variant.onSale,
    },
    {
      key: 'stock',
      label: 'Stock',
      type: 'number',
      read: (facts) => facts.stock,
      readVariant: (variant) => variant.stock,
    },
    {
      key: COLLECTION_FIELD,
      label: 'Collection',
      type: 'choice',
      read: (facts) => data.collections.ofProduct(facts.id),
      setOf: data.collections.members,
      has: (facts, id) => data.collections.has(id, facts.id),
      choices: data.collections.names,
      mayLack: true,
    },
    ...SOLD_WITHIN.map((days): Field => ({
      key: soldField(days),
      label: `Sold in ${days} days`,
      type: 'number',
      read: (facts) => facts.sold[days] ?? 0,
    })),
    { key: 'lastSold', label: 'Last sold', type: 'date', read: (facts) => facts.lastSold, mayLack: true },
    { key: 'created', label: 'Added', type: 'date', read: (facts) => facts.created },
    {
      key: 'kind',
      label: 'Kind',
      type: 'choice',
      read: (facts) => [facts.kind],
      choices: new Map(productKinds.map((kind) => [kind, kindParts[kind].name])),
    },
    { key: 'status', label: 'Standing', type: 'choice', read: (facts) => facts.status, choices: statusWords },
    { key: 'featured', label: 'Featured', type: 'yesNo', read: (facts) => facts.featured },
    {
      key: 'margin',
      label: 'Margin',
      type: 'number',
      read: (facts) => facts.margin,
      unit: percent,
      mayLack: true,
      signed: true,
    },
    { key: 'discount', label: 'Discount', type: 'number', read: (facts) => facts.discount, unit: percent },
    { key: 'cost', label: 'Cost', type: 'money', read: (facts) => facts.cost, mayLack: true },
    { key: 'stockValue', label: 'Stock value', type: 'money', read: (facts) => facts.stockValue, mayLack: true },
    {
      key: 'supplier',
      label: 'Supplier',
      type: 'choice',
      read: (facts) => (facts.supplier ? [facts.supplier] : []),
      choices: data.suppliers,
      mayLack: true,
    },
    {
      key: 'taxClass',
      label: 'Tax class',
      type: 'choice',
      read: ({ document }) => [document.taxClass],
      choices: new Map(Object.entries(taxClassNames)),
    },
    { key: 'pictures', label: 'Pictures', type: 'number', read: (facts) => facts.pictures },
    { key: 'variants', label: 'Variants', type: 'number', read: (facts) => facts.variants.length },
    { key: 'sku', label: 'SKU', type: 'text', read: ({ document }) => codesOf(document, 'sku'), mayLack: true },
    {
      key: 'barcode',
      label: 'Barcode',
      type: 'text',
      read: ({ document }) => codesOf(document, 'barcode'),
      mayLack: true,
    },
    {
      key: 'description',
      label: 'Description',
      type: 'text',
      read: ({ document }) => plainText(document.description),
      mayLack: true,
    },
  ];
}

const nothing: FieldData = {
  categories: new Map(),
  tags: new Map(),
  brands: new Map(),
  options: new Map(),
  attributes: [],
  suppliers: new Map(),
  collections: { names: new Map(), ofProduct: () => [], members: () => new Bitset(0), has: () => false },
};
const ofProducts = fixedFields(nothing).filter(({ readVariant, setOf }) => !readVariant && !setOf);
const ofType = (type: FieldType) => ofProducts.filter((field) => field.type === type);
const [choiceFields, yesNoFields] = [ofType('choice'), ofType('yesNo')];
const textsThatMayLack = ofType('text').filter(({ mayLack }) => mayLack);

/** Tells the facets under which a product is found by the fields that every shop has, and those of its texts that are empty. */
export function eachFacet(facts: ProductFacts, tell: (facet: string, value: string) => void): void {
  for (const { key, read } of choiceFields) for (const value of read(facts) as readonly string[]) tell(key, value);
  for (const { key, read } of yesNoFields) if (read(facts)) tell(key, 'yes');
  for (const { key, read } of textsThatMayLack) if (read(facts) === '') tell(WORDLESS, key);
}

/** All fields that a rule can use: the fixed ones, then one for each option found in the catalog. */
export function fieldRegistry(data: FieldData): FieldRegistry {
  const fields = fixedFields(data);
  for (const [key, option] of data.options) {
    const readVariant = (variant: VariantFacts) => {
      const value = variant.options[key];
      return value === undefined ? [] : [value];
    };
    fields.push({
      key: optionField(key),
      label: option.label,
      type: 'choice',
      read: (facts) => facts.variants.flatMap(readVariant),
      readVariant,
      choices: option.values,
      mayLack: true,
    });
  }
  const specs = data.attributes.flatMap((attribute) =>
    attributeFields(attribute).map((field) => ({ ...field, sheet: attribute.sheet })),
  );
  return new Map(withOwnLabels([...fields, ...specs]).map((field) => [field.key, field]));
}

/** Fields of one name are told apart by their spec sheet; by a number where that does not do either. */
function withOwnLabels(fields: readonly (Field & { sheet?: string })[]): Field[] {
  const counted = (labels: readonly string[]) => {
    const counts = new Map<string, number>();
    for (const label of labels) counts.set(fold(label), (counts.get(fold(label)) ?? 0) + 1);
    return counts;
  };
  const names = counted(fields.map(({ label }) => label));
  const named = fields.map(({ sheet, ...field }) =>
    sheet !== undefined && names.get(fold(field.label))! > 1 ? { ...field, label: `${field.label}, ${sheet}` } : field,
  );
  const met = new Map<string, number>();
  return named.map((field) => {
    const count = (met.get(fold(field.label)) ?? 0) + 1;
    met.set(fold(field.label), count);
    return count === 1 ? field : { ...field, label: `${field.label} ${count}` };
  });
}

/** The fields of one attribute. Attributes of words are searched, not compared. */
function attributeFields(attribute: Attribute): Field[] {
  const key = specField(attribute.id);
  const { name: label } = attribute;
  const unit = { words: attribute.unit, parts: SPEC_SCALE };
  const mayLack = true;
  const number = (of: string) => (facts: ProductFacts) => (facts.specs[of] as number | undefined) ?? NaN;
  switch (attribute.type) {
    case 'text':
      return [];
    case 'choice':
    case 'choices': {
      const choices = new Map(attribute.choices.map(({ id, name }) => [id, name]));
      const read = (facts: ProductFacts) => (facts.specs[key] as readonly string[] | undefined) ?? [];
      return [{ key, label, type: 'choice', read, choices, mayLack }];
    }
    case 'yesNo':
      return [{ key, label, type: 'yesNo', read: (facts) => facts.specs[key] === true }];
    case 'date':
      return [{ key, label, type: 'date', read: number(key), mayLack }];
    case 'number':
      return [{ key, label, type: 'number', read: number(key), unit, mayLack }];
    case 'range':
      return [
        { key: specFrom(key), label: `${label}, from`, type: 'number', read: number(specFrom(key)), unit, mayLack },
        { key: specUpTo(key), label: `${label}, up to`, type: 'number', read: number(specUpTo(key)), unit, mayLack },
      ];
  }
}
