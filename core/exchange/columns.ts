import { productKinds, statuses, taxClasses, unitPricings, whenSoldOutChoices } from '../model/product-values';
import type { Product, Variant } from '../model/product';
import type { Attribute, SpecSheet } from '../model/spec-sheet';
import { SPEC_SCALE, specWords } from '../products/spec-values';
import { MAX_OPTIONS } from '../products/variants';
import { slugFrom } from '../shared/slug';
import { fold } from '../shared/identity';
import { localOfMoment, momentFromLocal } from '../shared/moment';
import { namedLike } from '../shared/same-name';
import { packageWords, readDuration, readMeasure, readRange, readSize } from '../shared/units';
import {
  BETWEEN,
  partsOf,
  plainNumber,
  readAmount,
  readWhole,
  readYesNo,
  type Cell,
  type ExchangeColumn,
  type NameList,
  type Reading,
  type ReadTerms,
} from './column';

type More = Partial<ExchangeColumn> & Pick<ExchangeColumn, 'explains'>;

const plain = (value: unknown): Cell => (value === null || value === undefined ? null : (value as Cell));

const ofProduct = (field: keyof Product, label: string, aliases: string, more: More): ExchangeColumn => ({
  key: field,
  field,
  label,
  of: 'product',
  type: 'text',
  aliases: aliases.split(','),
  write: (product) => plain(product[field]),
  read: (text) => ({ value: text }),
  ...more,
});

const ofVariant = (field: keyof Variant, label: string, aliases: string, more: More): ExchangeColumn => ({
  key: `variant ${field}`,
  field,
  label,
  of: 'variant',
  type: 'text',
  aliases: aliases.split(','),
  write: (_product, variant) => plain(variant?.[field]),
  read: (text) => ({ value: text }),
  ...more,
});

const money = {
  type: 'money' as const,
  read: readAmount,
  write: (field: keyof Variant) => (_product: Product, variant: Variant | undefined) => {
    const amount = variant?.[field] as number | null | undefined;
    return amount === null || amount === undefined ? null : amount / 100;
  },
};
const amount = (field: keyof Variant, label: string, aliases: string, explains: string) =>
  ofVariant(field, label, aliases, { type: money.type, read: money.read, write: money.write(field), explains });

const count = { type: 'number' as const, read: readWhole };
const yesNo = { type: 'yesNo' as const, read: readYesNo };

/** One of a few words that Dispona has for something; the first fits where nothing is said. */
function oneOf(words: readonly string[], others: Readonly<Record<string, string>> = {}): Pick<ExchangeColumn, 'read'> {
  return {
    read: (text) => {
      const wanted = fold(text).trim();
      if (wanted === '') return { value: words[0] };
      const found = words.find((word) => fold(word) === wanted) ?? others[wanted];
      return found === undefined ? { problem: `“${text}” has to be one of: ${words.join(', ')}.` } : { value: found };
    },
  };
}

function idOf(list: NameList, what: string, name: string): Reading {
  const id = list.idOf(name);
  return id === undefined ? { problem: `There is no ${what} “${name}”.` } : { value: id };
}

function idsOf(list: NameList, what: string, text: string): Reading {
  const ids: string[] = [];
  for (const name of partsOf(text)) {
    const found = idOf(list, what, name);
    if ('problem' in found) return found;
    ids.push(found.value as string);
  }
  return { value: [...new Set(ids)] };
}

/** A moment in the time zone of the shop: "2027-05-03 10:00", "3.5.2027", "2027-05-03T08:00:00Z". */
function readMoment(text: string, { timeZone }: ReadTerms): Reading {
  if (text === '') return { value: null };
  if (/\dT\d.*(Z|[+-]\d\d:?\d\d)$/.test(text) && !Number.isNaN(Date.parse(text)))
    return { value: new Date(text).toISOString() };
  const match =
    /^(?:(?<year>\d{4})-(?<month>\d{1,2})-(?<day>\d{1,2})|(?<day2>\d{1,2})\.(?<month2>\d{1,2})\.(?<year2>\d{4}))(?:[ T,]+(?<time>\d{1,2}:\d{2})(?::\d{2})?)?$/.exec(
      text,
    );
  const { year, year2, month, month2, day, day2, time = '00:00' } = match?.groups ?? {};
  const two = (digits: string | undefined) => (digits ?? '').padStart(2, '0');
  const local = `${year ?? year2}-${two(month ?? month2)}-${two(day ?? day2)}T${time.padStart(5, '0')}`;
  const moment = match ? momentFromLocal(local, timeZone) : null;
  return moment === null ? { problem: `“${text}” is not a day, like 2027-05-03 10:00.` } : { value: moment };
}
const moment = (field: 'saleFrom' | 'saleUntil' | 'liveFrom' | 'liveUntil', label: string, aliases: string) =>
  ofProduct(field, label, aliases, {
    explains: 'A day, or a day and a time, like 2027-05-03 10:00; in the time zone of the shop. Empty for no end.',
    write: (product, _variant, { timeZone }) => {
      const value = product[field];
      return value === null ? null : localOfMoment(value, timeZone).replace('T', ' ');
    },
    read: readMoment,
  });

/** Grams; a number alone is meant in them. */
function readWeight(text: string, { decimal }: ReadTerms): Reading {
  if (text === '') return { value: null };
  const [, number, unit] = /^(-?[\d.,'’\s]+)\s*([a-z]*)\.?$/i.exec(text) ?? [];
  if (number === undefined) return { problem: `“${text}” is not a weight, like 350 g or 1.2 kg.` };
  const read = readMeasure(`${plainNumber(number, decimal)} ${unit || 'g'}`, 'g');
  return 'problem' in read
    ? { problem: `“${text}” is not a weight, like 350 g.` }
    : { value: Math.round(read.value / 1_000) };
}

function readQuantityPrices(text: string, { decimal }: ReadTerms): Reading {
  const tiers: { from: number; off: number }[] = [];
  for (const part of partsOf(text)) {
    const match = /^(?:from\s*)?(\d+)\s*[:=]\s*-?([\d.,]+)\s*%$/.exec(part);
    if (!match) return { problem: `“${part}” is not like “5: 10 %”.` };
    tiers.push({ from: Number(match[1]), off: Math.round(Number(plainNumber(match[2]!, decimal)) * 100) });
  }
  return { value: tiers.sort((a, b) => a.from - b.from) };
}

function readOwnFields(text: string): Reading {
  const fields = partsOf(text).map((part) => {
    const at = part.indexOf(':');
    return { label: part.slice(0, at).trim(), value: part.slice(at + 1).trim(), isRight: at > 0 };
  });
  const wrong = fields.find(({ isRight }) => !isRight);
  return wrong
    ? { problem: `“${wrong.value}” is not like “Material: ripstop”.` }
    : { value: fields.map(({ label, value }) => ({ label, value })) };
}

/** The columns that all goods have, in the order in which files have them. */
const usualColumns: readonly ExchangeColumn[] = [
  ofProduct('slug', 'Address', 'slug,handle,url key,url,permalink,adresse,identifiant', {
    explains: 'The last part of the page’s address. Rows with the same one are the variants of one product.',
    read: (text) => ({ value: text === '' ? '' : slugFrom(text.replace(/^.*\//, '')) }),
  }),
  ofProduct(
    'title',
    'Title',
    'name,product,product name,product title,produktname,artikelname,bezeichnung,titel,nom,titre,nombre',
    {
      explains: 'The name of the product. Rows below without a title belong to the same product.',
    },
  ),
  ofProduct('kind', 'Kind', 'product type,type,art,produktart', {
    explains: `One of: ${productKinds.join(', ')}.`,
    ...oneOf(productKinds, {
      simple: 'physical',
      variable: 'physical',
      goods: 'physical',
      download: 'digital',
      downloadable: 'digital',
      virtual: 'service',
      'gift card': 'giftCard',
    }),
  }),
  ofProduct('status', 'Standing', 'status,state,published,visibility,active,aktiv,sichtbar,online,verfügbar', {
    explains: 'live, draft or off.',
    ...oneOf(statuses, {
      yes: 'live',
      true: 'live',
      1: 'live',
      active: 'live',
      published: 'live',
      publish: 'live',
      visible: 'live',
      ja: 'live',
      aktiv: 'live',
      no: 'draft',
      false: 'draft',
      0: 'draft',
      nein: 'draft',
      hidden: 'off',
      archived: 'off',
      inactive: 'off',
    }),
  }),
  ofProduct('featured', 'Featured', 'is featured,highlight,empfohlen,hervorgehoben', {
    explains: 'yes or no.',
    ...yesNo,
  }),
  ofProduct('summary', 'Summary', 'short description,kurzbeschreibung,excerpt,teaser,description courte', {
    explains: 'One or two sentences that stand beside the price.',
  }),
  ofProduct(
    'description',
    'Description',
    'long description,body,body html,content,beschreibung,produktbeschreibung,text',
    {
      explains: 'Text, or HTML.',
      read: (text, { cleanHtml }) => ({ value: cleanHtml(text) }),
    },
  ),
  ofProduct('brandId', 'Brand', 'vendor,manufacturer,marke,hersteller,marque,fabricant,marca', {
    explains: 'The name of the brand.',
    write: ({ brandId }, _variant, { names }) => (brandId === null ? null : names.brand.nameOf(brandId)),
    read: (text, { names }) => (text === '' ? { value: null } : idOf(names.brand, 'brand', text)),
  }),
  ofProduct('supplier', 'Supplier', 'lieferant,fournisseur,distributor,proveedor', {
    explains: 'Who delivers it to you.',
  }),
  ofProduct(
    'categoryIds',
    'Categories',
    'category,kategorie,kategorien,warengruppe,catégorie,catégories,product category,categoría',
    {
      explains: 'Paths like “Kites > Deltas”, with semicolons between; the first is the main one.',
      write: ({ categoryIds }, _variant, { names }) => categoryIds.map(names.category.nameOf).join(BETWEEN),
      read: (text, { names }) => idsOf(names.category, 'category', text),
    },
  ),
  ofProduct('tagIds', 'Tags', 'tag,keywords,schlagwörter,schlagworte,stichwörter,étiquettes,etiquetas', {
    explains: 'Names with semicolons between.',
    write: ({ tagIds }, _variant, { names }) => tagIds.map(names.tag.nameOf).join(BETWEEN),
    read: (text, { names }) => idsOf(names.tag, 'tag', text.includes(';') ? text : text.replace(/,/g, ';')),
  }),
  ofProduct('taxClass', 'Tax', 'tax class,tax,steuer,steuerklasse,mwst,vat,tva', {
    explains: `One of: ${taxClasses.join(', ')}.`,
    ...oneOf(taxClasses, { normal: 'standard', ermassigt: 'reduced', 'zero rate': 'zero', none: 'zero' }),
  }),
  ofVariant(
    'sku',
    'SKU',
    'variant sku,article number,item number,product code,artikelnummer,artikelnr,art nr,référence,referencia',
    {
      explains: 'Your own number of the variant.',
    },
  ),
  ofVariant('barcode', 'Barcode', 'ean,gtin,upc,isbn,variant barcode,ean code,strichcode,code barres', {
    explains: 'GTIN, EAN or ISBN.',
  }),
  ofVariant('supplierNumber', 'Supplier number', 'supplier sku,lieferantennummer,vendor sku,bestellnummer', {
    explains: 'Under which the supplier knows it.',
  }),
  amount(
    'price',
    'Price',
    'variant price,regular price,preis,vk,verkaufspreis,bruttopreis,prix,precio,retail price',
    'The list price of one piece.',
  ),
  amount(
    'salePrice',
    'Sale price',
    'special price,angebotspreis,aktionspreis,reduced price,prix promo',
    'The reduced price; empty for none.',
  ),
  amount(
    'cost',
    'Cost',
    'cost per item,purchase price,ek,einkaufspreis,prix achat,coste',
    'What one piece costs you, without tax.',
  ),
  ofVariant(
    'stock',
    'Stock',
    'quantity,qty,inventory,stock quantity,lagerbestand,bestand,menge,anzahl,lager,quantité,existencias',
    {
      explains: 'Pieces left; empty where they are not counted.',
      ...count,
    },
  ),
  ofVariant('warnAt', 'Warn at', 'low stock,reorder level,mindestbestand,meldebestand', {
    explains: 'At this many pieces it is time to order again.',
    ...count,
  }),
  ofVariant('content', 'Content', 'inhalt,contenu,unit quantity', {
    explains: 'How much is in one piece, in thousandths of the unit of its unit price.',
    ...count,
  }),
  moment('saleFrom', 'Sale from', 'sale start,special from date,angebot von,date sale price starts'),
  moment('saleUntil', 'Sale until', 'sale end,special to date,angebot bis,date sale price ends'),
  ofProduct('quantityPrices', 'Quantity prices', 'tier prices,staffelpreise,volume pricing', {
    explains: 'Like “5: 10 %; 10: 15 %”.',
    write: ({ quantityPrices }) => quantityPrices.map(({ from, off }) => `${from}: ${off / 100} %`).join(BETWEEN),
    read: readQuantityPrices,
  }),
  ofProduct('unitPricing', 'Unit price per', 'grundpreis,base price unit,unit price', {
    explains: `One of: ${unitPricings.join(', ')}; empty for none.`,
    read: (text, terms) => (text === '' ? { value: null } : oneOf(unitPricings).read(text, terms)),
  }),
  ofProduct('priceOnRequest', 'Price on request', 'preis auf anfrage', { explains: 'yes or no.', ...yesNo }),
  ofProduct('hidePriceWhenSoldOut', 'Hide price when sold out', 'hide price', { explains: 'yes or no.', ...yesNo }),
  ofProduct('whenSoldOut', 'When sold out', 'backorders,inventory policy,wenn ausverkauft', {
    explains: `One of: ${whenSoldOutChoices.join(', ')}.`,
    ...oneOf(whenSoldOutChoices, { continue: 'order', allow: 'order', deny: 'keep' }),
  }),
  ofProduct('orderDelay', 'Order delay', 'delivery time when sold out', {
    explains: 'What shoppers read when it can be ordered although sold out.',
  }),
  ofProduct('weight', 'Weight', 'gewicht,poids,peso,weight g,grams', {
    explains: 'Grams, or with a unit, like 1.2 kg.',
    type: 'number',
    read: readWeight,
  }),
  ofProduct('size', 'Package size', 'dimensions,abmessungen,maße,package dimensions', {
    explains: 'Length × width × height, like 35 × 12 × 4 cm.',
    write: ({ size }) => packageWords(size),
    read: (text, { decimal }) => readSize(decimal === ',' ? text.replace(/,/g, '.') : text),
  }),
  ofProduct('packageType', 'Package', 'package type,verpackung,shipping class,versandklasse', {
    explains: 'What it is sent in.',
  }),
  ofProduct('dispatchDays', 'Days to dispatch', 'lieferzeit,handling time,dispatch time', {
    explains: 'Days until it is sent.',
    ...count,
  }),
  ofVariant('weight', 'Weight of the variant', 'variant weight,variant grams', {
    explains: 'Where it differs from that of the product.',
    type: 'number',
    read: readWeight,
  }),
  ofVariant('size', 'Package size of the variant', 'variant dimensions', {
    explains: 'Where it differs from that of the product.',
    write: (_product, variant) => packageWords(variant?.size ?? null),
    read: (text, { decimal }) => readSize(decimal === ',' ? text.replace(/,/g, '.') : text),
  }),
  ofVariant('packageType', 'Package of the variant', 'variant package', {
    explains: 'Where it differs from that of the product.',
  }),
  ofVariant('dispatchDays', 'Days to dispatch of the variant', 'variant dispatch', {
    explains: 'Where they differ from those of the product.',
    ...count,
  }),
  ofVariant('customsCode', 'Customs code', 'hs code,tariff number,zolltarifnummer,harmonized system code', {
    explains: 'Under which customs know such goods.',
  }),
  ofProduct('duration', 'Duration', 'dauer,length of the course', {
    explains: 'Of a service, like 90 min or 3 h.',
    write: ({ duration }) => (duration === null ? null : `${duration} min`),
    read: (text) => readDuration(text),
  }),
  ofProduct('ownValue', 'Own value', 'choose value', {
    explains: 'Of a gift card: the values that the shopper can choose, like “10.00 - 100.00”.',
    write: ({ ownValue }) => ownValue && `${(ownValue.from / 100).toFixed(2)} - ${(ownValue.upTo / 100).toFixed(2)}`,
    read: (text, terms) => {
      if (text === '') return { value: null };
      const [from, upTo] = text.split(/\s+-\s+|–/).map((part) => readAmount(part.trim(), { ...terms, decimal: '.' }));
      return from && upTo && 'value' in from && 'value' in upTo
        ? { value: { from: from.value, upTo: upTo.value } }
        : { problem: 'Write two amounts, like “10.00 - 100.00”.' };
    },
  }),
  ofProduct('downloadLimit', 'Download limit', 'downloads,anzahl downloads', {
    explains: 'How often each file can be fetched.',
    ...count,
  }),
  ofProduct('downloadDays', 'Days to download', 'download expiry', { explains: 'For how many days.', ...count }),
  ofProduct('metaTitle', 'Meta title', 'seo title,page title,seo titel', {
    explains: 'What search engines show as a heading.',
  }),
  ofProduct('metaDescription', 'Meta description', 'seo description,seo beschreibung', {
    explains: 'What search engines show below it.',
  }),
  ofProduct('noindex', 'Keep out of search engines', 'no index,noindex', { explains: 'yes or no.', ...yesNo }),
  moment('liveFrom', 'On the shop from', 'publish date,available from,verfügbar ab'),
  moment('liveUntil', 'On the shop until', 'unpublish date,available until,verfügbar bis'),
  ofProduct('customFields', 'Own fields', 'custom fields,additional information', {
    explains: 'Like “Material: ripstop; Frame: carbon”.',
    write: ({ customFields }) => customFields.map(({ label, value }) => `${label}: ${value}`).join(BETWEEN),
    read: readOwnFields,
  }),
  ofProduct('specSheetId', 'Spec sheet', 'attribute set,produkttyp', {
    explains: 'The name of the spec sheet whose attributes it has.',
    write: ({ specSheetId }, _variant, { names }) =>
      specSheetId === null ? null : names.specSheet.nameOf(specSheetId),
    read: (text, { names }) => (text === '' ? { value: null } : idOf(names.specSheet, 'spec sheet', text)),
  }),
];

/** Which option a column of options is about, from 1, and whether it holds its name or its value. */
export interface OptionColumn {
  place: number;
  holds: 'name' | 'value';
}
export function optionColumnOf(key: string): OptionColumn | undefined {
  const match = /^option (\d) (name|value)$/.exec(key);
  return match ? { place: Number(match[1]), holds: match[2] as 'name' | 'value' } : undefined;
}

const optionColumns: readonly ExchangeColumn[] = Array.from({ length: MAX_OPTIONS }, (_, i) => i).flatMap((i) => [
  {
    key: `option ${i + 1} name`,
    label: `Option ${i + 1}`,
    explains: 'What the variants of the product differ in, such as “Colour”.',
    aliases: [`option${i + 1} name`, `option ${i + 1} name`, `attribute ${i + 1} name`, `variante ${i + 1} name`],
    of: 'product' as const,
    type: 'text' as const,
    write: ({ options }: Product) => options[i]?.name ?? null,
    read: (text: string) => ({ value: text }),
  },
  {
    key: `option ${i + 1} value`,
    label: `Value ${i + 1}`,
    explains: 'The value that this variant has.',
    aliases: [`option${i + 1} value`, `option ${i + 1} value`, `attribute ${i + 1} value(s)`, `variante ${i + 1} wert`],
    of: 'variant' as const,
    type: 'text' as const,
    write: ({ options }: Product, variant: Variant | undefined) =>
      options[i]?.values.find(({ id }) => id === variant?.values[i])?.name ?? null,
    read: (text: string) => ({ value: text }),
  },
]);

/** Id of the attribute that a column holds; undefined for other columns. */
export const attributeOf = (key: string): string | undefined =>
  key.startsWith('spec ') ? key.slice('spec '.length) : undefined;

function readSpec({ type, unit, choices }: Attribute, typed: string, { decimal }: ReadTerms): Reading {
  const text = typed.replace(/\u00a0/g, ' ');
  if (text === '') return { value: undefined };
  const number = decimal === ',' ? text.replace(/,/g, '.') : text;
  switch (type) {
    case 'number':
      return readMeasure(number, unit);
    case 'range':
      return readRange(number, unit);
    case 'yesNo':
      return readYesNo(text);
    case 'choice':
    case 'choices': {
      const ids: string[] = [];
      for (const name of type === 'choice' ? [text] : text.split(/[,;|]/)) {
        const found = namedLike(choices, (choice) => choice.name, name.trim());
        if (!found) return { problem: `There is no “${name.trim()}” to choose.` };
        ids.push(found.id);
      }
      return { value: ids };
    }
    default:
      return { value: text };
  }
}

const specColumn = (sheet: SpecSheet, attribute: Attribute, isDouble: boolean): ExchangeColumn => ({
  key: `spec ${attribute.id}`,
  label: isDouble ? `${attribute.name} (${sheet.name})` : attribute.name,
  explains: `An attribute of the spec sheet “${sheet.name}”${attribute.unit && `, in ${attribute.unit}`}.`,
  aliases: [],
  of: 'product',
  type: attribute.type === 'number' ? 'number' : 'text',
  write: ({ specs }) => {
    const value = specs[attribute.id];
    if (attribute.type === 'number' && typeof value === 'number') return value / SPEC_SCALE;
    return specWords(attribute, value) || null;
  },
  read: (text, terms) => readSpec(attribute, text, terms),
});

/** All columns that goods of a shop can have in files. */
export function exchangeColumns(sheets: Iterable<SpecSheet>): ExchangeColumn[] {
  const all = [...sheets];
  const met = new Map<string, number>();
  for (const { attributes } of all) for (const { name } of attributes) met.set(name, (met.get(name) ?? 0) + 1);
  return [
    ...usualColumns,
    ...optionColumns,
    ...all.flatMap((sheet) =>
      sheet.attributes.map((attribute) => specColumn(sheet, attribute, met.get(attribute.name)! > 1)),
    ),
  ];
}

/** Fields that no file of rows holds, and why. */
export const notInFiles: Readonly<Record<string, string>> = {
  featuredPlace: 'follows from the order in which goods are featured',
  excludedCombinations: 'a combination that has no row is not made',
  bundle: 'its parts are chosen by rules, which need their own screen',
  files: 'files come with an archive, not in a cell',
  pictureId: 'pictures come with an archive, not in a cell',
  specs: 'each attribute has a column of its own',
};
