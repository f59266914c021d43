import { productKinds, statuses, taxClasses, unitPricings, whenSoldOutChoices } from '../model/product-values';
import type { Product, Variant } from '../model/product';
import type { Attribute, SpecSheet } from '../model/spec-sheet';
import { nameIdentity } from '../shared/same-name';
import { slugFrom } from '../shared/slug';
import { localOfMoment } from '../shared/moment';
import { packageWords, readDuration, readSize } from '../shared/units';
import { idOf, idsOf, oneOf, readMoment, readOwnFields, readQuantityPrices, readWeight } from './cell-readers';
import { BETWEEN, readAmount, readWhole, readYesNo, type Cell, type ExchangeColumn } from './column';
import { optionColumns } from './option-columns';
import { pictureColumn } from './picture-column';
import { specColumn } from './spec-columns';
import { wordingColumn } from './wording-columns';

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

const amount = (field: 'price' | 'salePrice' | 'cost', label: string, aliases: string, explains: string) =>
  ofVariant(field, label, aliases, {
    type: 'money',
    explains,
    write: (_product, variant) => {
      const value = variant?.[field] ?? null;
      return value === null ? null : value / 100;
    },
    read: (text, terms) =>
      text === '' && field === 'price' ? { problem: 'A variant needs a price.' } : readAmount(text, terms),
  });

const count = { type: 'number' as const, read: readWhole };
const yesNo = { type: 'yesNo' as const, read: readYesNo };

const moment = (field: 'saleFrom' | 'saleUntil' | 'liveFrom' | 'liveUntil', label: string, aliases: string) =>
  ofProduct(field, label, aliases, {
    explains: 'A day, or a day and a time, like 2027-05-03 10:00; in the time zone of the shop. Empty for no end.',
    write: (product, _variant, { timeZone }) => {
      const value = product[field];
      return value === null ? null : localOfMoment(value, timeZone).replace('T', ' ');
    },
    read: readMoment,
  });

/** The columns that all goods have, in the order in which files have them. */
const usualColumns: readonly ExchangeColumn[] = [
  ofProduct('slug', 'Address', 'slug,handle,url key,url,permalink,adresse,identifiant', {
    isNeeded: true,
    isForNew: true,
    explains: 'The last part of the page’s address. Rows with the same one are the variants of one product.',
    read: (text) => ({ value: text === '' ? '' : slugFrom(text.replace(/^.*\//, '')) }),
  }),
  ofProduct(
    'title',
    'Title',
    'name,product,product name,product title,produktname,artikelname,bezeichnung,titel,nom,titre,nombre',
    {
      isNeeded: true,
      explains: 'The name of the product. Rows below without a title belong to the same product.',
    },
  ),
  ofProduct('kind', 'Kind', 'product type,type,art,produktart', {
    isNeeded: true,
    isForNew: true,
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
    isNeeded: true,
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
    read: (text, { names }) => idsOf(names.tag, 'tag', text, ','),
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

/** All columns that goods of a shop can have in files; a text stands beside itself in the other languages (`locales`). */
export function exchangeColumns(sheets: Iterable<SpecSheet>, locales: readonly string[] = []): ExchangeColumn[] {
  const all = [...sheets];
  const usual = [...usualColumns, pictureColumn, ...optionColumns];
  const names = [
    ...usual.map(({ label }) => label),
    ...all.flatMap(({ attributes }) => attributes.map(({ name }) => name)),
  ];
  const met = new Map<string, number>();
  for (const name of names.map(nameIdentity)) met.set(name, (met.get(name) ?? 0) + 1);
  const isDouble = ({ name }: Attribute) => met.get(nameIdentity(name))! > 1;
  return [
    ...usual.flatMap((column) => [column, ...locales.flatMap((locale) => wordingColumn(column, locale) ?? [])]),
    ...all.flatMap((sheet) => sheet.attributes.map((attribute) => specColumn(sheet, attribute, isDouble(attribute)))),
  ];
}

/** Fields that no file of rows holds, and why. */
export const notInFiles: Readonly<Record<string, string>> = {
  featuredPlace: 'follows from the order in which goods are featured',
  excludedCombinations: 'a combination that has no row is not made',
  bundle: 'its parts are chosen by rules, which need their own screen',
  files: 'files come with an archive, not in a cell',
  pictureId: 'a picture is tied to a variant on the page of its product',
  specs: 'each attribute has a column of its own',
  goesWith: 'leads to other goods by a rule, which a cell cannot hold',
  stepUp: 'leads to other goods by a rule, which a cell cannot hold',
  similar: 'leads to other goods by a rule, which a cell cannot hold',
};
