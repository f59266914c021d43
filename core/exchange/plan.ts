import { productDefaults, variantDefaults, type Option, type Product, type Variant } from '../model/product';
import { productFields } from '../model/product-fields';
import { variantFields } from '../model/variant-fields';
import type { Field } from '../model/fields';
import { refuseQuantityPrices, refuseSalePrice, refuseSpan } from '../pricing/price';
import { kindParts, type KindParts } from '../products/kinds';
import type { NewId } from '../products/merge-split';
import { MAX_OPTIONS, MAX_VARIANTS } from '../products/variants';
import { canonicalJson } from '../shared/canonical-json';
import { isSameName } from '../shared/same-name';
import { optionColumnOf } from './option-columns';
import { attributeOf } from './spec-columns';
import { cellText, type Cell, type ExchangeColumn, type ReadTerms, type WriteTerms } from './column';
import { groupRows, type FileTable, type Found, type RowGroup } from './group-rows';
import { OWN_FIELD, type ImportWay, type Matching } from './choices';

/** What a seller chose for a file. */
export interface ImportChoices {
  /** for each column of the file the key of what it fills; null for nothing */
  columns: readonly (string | null)[];
  /** columns that rows are found by, but whose values change nothing */
  columnsOff: readonly number[];
  match: Matching;
  way: ImportWay;
  /** the first row of the file tells what the columns are */
  hasHead: boolean;
  leftOut: readonly number[];
  /** cells that were mended here, by "row:column" */
  mended: Readonly<Record<string, string>>;
}

export interface ImportSources extends ReadTerms, WriteTerms {
  columns: readonly ExchangeColumn[];
  find: (by: Matching, text: string) => Found | undefined;
  /** the spec sheet of an attribute */
  sheetOf: (attributeId: string) => string | undefined;
  newId: NewId;
  freeSlug: (wanted: string) => string;
  /** behind all products that are featured already */
  nextFeaturedPlace: number;
  /** UTC */
  now: string;
}

interface PlannedCell {
  row: number;
  /** place of the column in the file */
  column: number;
  was: string;
  will: string;
}

interface PlannedProblem {
  row: number;
  /** null where it is about the whole row */
  column: number | null;
  message: string;
}

/** What rows of one product come to. */
export interface PlannedProduct {
  state: 'new' | 'changed' | 'same' | 'refused' | 'deleted' | 'passed';
  rows: readonly number[];
  title: string;
  /** what becomes another */
  cells: readonly PlannedCell[];
  problems: readonly PlannedProblem[];
  before: Product | undefined;
  after: Product | undefined;
}

/** Reads cells of a file, as they are mended. */
export function cellsOf({ rows }: FileTable, { columns, mended }: ImportChoices) {
  const places = new Map(columns.flatMap((key, place) => (key === null || key === OWN_FIELD ? [] : [[key, place]])));
  const at = (row: number, place: number) => (mended[`${row}:${place}`] ?? rows[row]![place] ?? '').trim();
  return {
    at,
    cell: (row: number, key: string) => {
      const place = places.get(key);
      return place === undefined ? '' : at(row, place);
    },
    places,
  };
}

/** Why a field cannot have a value, in its own words. */
const problemOf = (field: Field, value: unknown): string | undefined =>
  (field.typed ?? field.stored).safeParse(value).error?.issues[0]?.message;

/** Why a product of a kind cannot have a value of a field: it is part of other kinds. */
const misfitOf = ({ part, usual, words }: Field, value: unknown, kind: KindParts): string | undefined =>
  part !== undefined && !kind[part] && canonicalJson(value) !== canonicalJson(usual)
    ? `A ${kind.name} has no ${words}.`
    : undefined;

/** A cell as people see it: spaces around are no part of it. */
const seenText = (cell: Cell): string => cellText(cell).trim();

/** Plans what the rows of each product come to; one after another, so that others can be served between. */
export function* planImport(
  table: FileTable,
  choices: ImportChoices,
  sources: ImportSources,
): Generator<PlannedProduct> {
  const { at, cell, places } = cellsOf(table, choices);
  const byKey = new Map(sources.columns.map((column) => [column.key, column]));
  const leftOut = new Set(choices.leftOut);
  const groups = groupRows(table, {
    cell,
    find: sources.find,
    match: choices.match,
    tellsProducts: places.has('title') || places.has('slug'),
    isLeftOut: (row) => leftOut.has(row) || table.rows[row]!.every((text) => text.trim() === ''),
  });
  for (const group of groups) yield new GroupPlan(table, choices, sources, group, at, byKey).plan();
}

interface Used {
  place: number;
  column: ExchangeColumn;
}

class GroupPlan {
  readonly #problems: PlannedProblem[] = [];
  readonly #used: Used[];

  constructor(
    readonly table: FileTable,
    readonly choices: ImportChoices,
    readonly sources: ImportSources,
    readonly group: RowGroup,
    readonly at: (row: number, place: number) => string,
    byKey: ReadonlyMap<string, ExchangeColumn>,
  ) {
    const isOff = new Set(choices.columnsOff);
    this.#used = choices.columns.flatMap((key, place) => {
      const column = key === null || isOff.has(place) ? undefined : byKey.get(key);
      return column ? [{ place, column }] : [];
    });
  }

  plan(): PlannedProduct {
    const { rows, product: before, problem } = this.group;
    const { way } = this.choices;
    const title = this.#text('title') || before?.title || '';
    const told = { rows, title, cells: [] as PlannedCell[], before, after: undefined };
    if (problem && way !== 'delete' && way !== 'update')
      return { ...told, state: 'refused', problems: [{ row: rows[0]!, column: null, message: problem }] };
    if (way === 'delete') return { ...told, state: before ? 'deleted' : 'passed', problems: [] };
    if (before ? way === 'add' : way === 'update') return { ...told, state: 'passed', problems: [] };
    const { product, variantOf } = this.#assembled(before);
    this.#check(product, before, variantOf);
    const cells = this.#cells(before, product, variantOf);
    if (this.#problems.length > 0)
      return { ...told, state: 'refused', cells, problems: this.#problems, title: title || product.title };
    const isSame = before !== undefined && cells.length === 0 && before.variants.length === product.variants.length;
    return {
      ...told,
      title: product.title,
      state: before ? (isSame ? 'same' : 'changed') : 'new',
      cells,
      problems: [],
      after: isSame ? undefined : product,
    };
  }

  #place = (key: string) => this.#used.find(({ column }) => column.key === key)?.place;
  #text(key: string, row = this.group.rows[0]!): string {
    const place = this.#place(key);
    return place === undefined ? '' : this.at(row, place);
  }
  #refuse(row: number, column: number | null | undefined, message: string): void {
    this.#problems.push({ row, column: column ?? null, message });
  }

  /** The number that a spreadsheet shows beside a row. */
  #lineOf = (row: number) => row + (this.choices.hasHead ? 2 : 1);

  /** The product as the rows make it. */
  #assembled(before: Product | undefined) {
    const { sources, group } = this;
    const base = before ?? this.#empty();
    const fields = this.#productValues(base, before === undefined);
    const { options, rowValues } = this.#options(base);
    const variants = [...base.variants];
    const variantOf = new Map<number, Variant>();
    const met = new Map<string, number>();
    for (const row of group.rows) {
      const values = rowValues.get(row) ?? [];
      const hasOptions = values.length > 0;
      let place = variants.findIndex(({ id }) => id === group.variants.get(row)?.id);
      if (place < 0 && hasOptions) place = variants.findIndex((variant) => variant.values.join() === values.join());
      if (place < 0 && !hasOptions && variants.length === 1 && (before || row === group.rows[0])) place = 0;
      // What stands alone until its options are known takes the first row.
      if (place < 0 && !before && row === group.rows[0]) place = 0;
      if (place < 0 && before && !hasOptions) {
        if (this.#used.some(({ column }) => column.of === 'variant') && before.variants.length > 1) {
          this.#refuse(
            row,
            null,
            `“${before.title}” has ${before.variants.length} variants: the row does not tell which.`,
          );
          continue;
        }
        place = 0;
      }
      if (place < 0) {
        place = variants.length;
        variants.push({ ...this.#emptyVariant(), values });
      }
      const read = this.#variantValues(variants[place]!, row, before === undefined);
      const variant = hasOptions && read.values.join() !== values.join() ? { ...read, values } : read;
      variants[place] = variant;
      variantOf.set(row, variant);
      const combination = variant.values.join();
      const twin = met.get(variant.id) ?? (combination === '' ? undefined : met.get(combination));
      if (twin !== undefined && this.#used.some(({ column }) => column.of === 'variant'))
        this.#refuse(row, null, `Row ${this.#lineOf(twin)} is about the same variant.`);
      met.set(variant.id, row);
      if (combination !== '') met.set(combination, row);
    }
    const same = before && variants.every((variant, i) => variant === before.variants[i]);
    const product: Product = {
      ...base,
      ...fields,
      options,
      variants: same && variants.length === before.variants.length ? before.variants : variants,
    };
    if (!before) product.slug = sources.freeSlug(product.slug || product.title);
    if (product.featured !== base.featured) product.featuredPlace = product.featured ? sources.nextFeaturedPlace : 0;
    return { product, variantOf };
  }

  #empty(): Product {
    return {
      ...productDefaults,
      id: this.sources.newId('product'),
      created: this.sources.now,
      kind: 'physical',
      title: '',
      summary: '',
      description: '',
      slug: '',
      status: 'draft',
      featured: false,
      brandId: null,
      categoryIds: [],
      tagIds: [],
      options: [],
      variants: [this.#emptyVariant()],
      pictures: [],
    };
  }

  #emptyVariant(): Variant {
    return {
      ...variantDefaults,
      id: this.sources.newId('variant'),
      values: [],
      sku: '',
      price: 0,
      salePrice: null,
      stock: null,
      pictureId: null,
    };
  }

  /** What the columns of the product hold: the first of its rows that says something. */
  #productValues(base: Product, isNew: boolean): Partial<Product> {
    const values: Record<string, unknown> = {};
    for (const { place, column } of this.#used) {
      if (column.of !== 'product' || optionColumnOf(column.key)) continue;
      const row = this.group.rows.find((each) => this.at(each, place) !== '') ?? this.group.rows[0]!;
      const text = this.at(row, place);
      const other = this.group.rows.find((each) => this.at(each, place) !== '' && this.at(each, place) !== text);
      if (other !== undefined)
        this.#refuse(other, place, `Row ${this.#lineOf(row)} of the same product says something else.`);
      if (text === '' && column.isNeeded) continue;
      if (text === seenText(column.write(base, base.variants[0], this.sources)) && !isNew) continue;
      const read = column.read(text, this.sources);
      if ('problem' in read) {
        this.#refuse(row, place, read.problem);
        continue;
      }
      const attributeId = attributeOf(column.key);
      if (attributeId !== undefined) this.#putSpec(values, base, attributeId, read.value, row, place);
      else if (!isNew && column.isForNew) this.#refuseOther(base, column, read.value, row, place);
      else values[column.field!] = read.value;
    }
    return { ...values, ...this.#ownFields(values, base) };
  }

  /** Of what a file gives only to new products. */
  #refuseOther(base: Product, { field }: ExchangeColumn, value: unknown, row: number, place: number): void {
    const name = field as keyof typeof productFields;
    if (value !== base[name])
      this.#refuse(row, place, `The ${productFields[name].words} of a product is changed on its page.`);
  }

  #putSpec(
    values: Record<string, unknown>,
    base: Product,
    id: string,
    value: unknown,
    row: number,
    place: number,
  ): void {
    const sheet = this.sources.sheetOf(id);
    const current = (values.specSheetId ?? base.specSheetId) as string | null;
    if (value === undefined && current !== sheet) return;
    if (current === null) values.specSheetId = sheet;
    else if (current !== sheet)
      return this.#refuse(row, place, 'This attribute is not on the spec sheet of the product.');
    const specs = { ...((values.specs as Product['specs'] | undefined) ?? base.specs) };
    if (value === undefined) delete specs[id];
    else specs[id] = value as Product['specs'][string];
    values.specs = specs;
  }

  /** Columns that became fields of its own. */
  #ownFields(values: Record<string, unknown>, base: Product): Partial<Product> {
    const { columns } = this.choices;
    let customFields = (values.customFields as Product['customFields'] | undefined) ?? base.customFields;
    columns.forEach((key, place) => {
      if (key !== OWN_FIELD || this.choices.columnsOff.includes(place)) return;
      const label = this.table.head[place]!;
      const value = this.group.rows.map((row) => this.at(row, place)).find(Boolean) ?? '';
      const rest = customFields.filter((each) => !isSameName(each.label, label));
      const was = customFields.find((each) => isSameName(each.label, label));
      if (value === (was?.value ?? '')) return;
      customFields = value === '' ? rest : [...rest, { label, value }];
    });
    return customFields === base.customFields ? {} : { customFields };
  }

  /** The options of the product after the rows, and which values each row has. */
  #options(base: Product): { options: Option[]; rowValues: Map<number, string[]> } {
    const rowValues = new Map<number, string[]>();
    const places = Array.from({ length: MAX_OPTIONS }, (_, i) => ({
      name: this.#place(`option ${i + 1} name`),
      value: this.#place(`option ${i + 1} value`),
    })).filter(({ value }) => value !== undefined);
    if (places.length === 0) return { options: base.options, rowValues };
    const { rows } = this.group;
    const nameOf = ({ name, value }: (typeof places)[number], i: number) =>
      (name === undefined ? '' : (rows.map((row) => this.at(row, name)).find(Boolean) ?? '')) ||
      (base.options[i]?.name ?? this.table.head[value!]!);
    const used = places
      .map((place, i) => ({ ...place, called: nameOf(place, i) }))
      .filter(({ value }) => rows.some((row) => this.at(row, value!) !== ''));
    if (used.length === 0) return { options: base.options, rowValues };
    const isOwn = base.options.length > 0;
    const options: Option[] = isOwn
      ? [...base.options]
      : used.map(({ called }) => ({ id: this.sources.newId('option'), name: called, listId: null, values: [] }));
    const order = used.map(({ called }) => options.findIndex(({ name }) => isSameName(name, called)));
    const unknown = order.findIndex((place) => place < 0);
    if (unknown >= 0 || used.length !== options.length) {
      const names = options.map(({ name }) => name).join(', ');
      this.#refuse(rows[0]!, used[Math.max(0, unknown)]!.value, `“${base.title}” has these options: ${names}.`);
      return { options: base.options, rowValues };
    }
    for (const row of rows) {
      const values: string[] = options.map(() => '');
      used.forEach(({ value, called }, i) => {
        const text = this.at(row, value!);
        if (text === '') return this.#refuse(row, value, `This variant needs a value of “${called}”.`);
        const at = order[i]!;
        const option = options[at]!;
        let known = option.values.find(({ name }) => isSameName(name, text));
        if (!known) {
          known = { id: this.sources.newId('optionValue'), name: text, swatch: null, pictureId: null };
          options[at] = { ...option, values: [...option.values, known] };
        }
        values[at] = known.id;
      });
      rowValues.set(row, values);
    }
    const isSame = options.every((option, i) => option === base.options[i]);
    return { options: isSame && isOwn ? base.options : options, rowValues };
  }

  #variantValues(variant: Variant, row: number, isNew: boolean): Variant {
    const values: Record<string, unknown> = {};
    for (const { place, column } of this.#used) {
      if (column.of !== 'variant' || optionColumnOf(column.key)) continue;
      const text = this.at(row, place);
      if (!isNew && text === seenText(column.write(this.group.product!, variant, this.sources))) continue;
      const read = column.read(text, this.sources);
      if ('problem' in read) this.#refuse(row, place, read.problem);
      else values[column.field!] = read.value;
    }
    const isChanged = Object.entries(values).some(([name, value]) => variant[name as keyof Variant] !== value);
    return isChanged ? { ...variant, ...values } : variant;
  }

  /** What no product can be, in the words of its fields: of what the rows change. */
  #check(product: Product, before: Product | undefined, variantOf: ReadonlyMap<number, Variant>): void {
    const first = this.group.rows[0]!;
    const broken = new Set(this.#problems.map(({ row, column }) => `${row}:${column}`));
    const refuse = (row: number, place: number | undefined, message: string | undefined) => {
      if (message !== undefined && !broken.has(`${row}:${place}`)) this.#refuse(row, place, message);
    };
    if (product.title === '') refuse(first, this.#place('title'), 'A product needs a title.');
    if (product.variants.length > MAX_VARIANTS)
      refuse(first, undefined, `A product can have at most ${MAX_VARIANTS} variants.`);
    const kind = kindParts[product.kind];
    if (!before && kind.slots)
      refuse(first, this.#place('kind'), 'A bundle is made on its page: a file cannot say what is in it.');
    if (!kind.options && product.options !== before?.options && product.options.length > 0)
      refuse(first, this.#place('option 1 value'), `A ${kind.name} has no options.`);
    for (const { place, column } of this.#used) {
      if (column.of !== 'product' || column.field === undefined || this.#isPlaceOf('title', place, product)) continue;
      const name = column.field as keyof typeof productFields;
      const value: unknown = product[name];
      if (value === before?.[name]) continue;
      refuse(first, place, misfitOf(productFields[name], value, kind) ?? problemOf(productFields[name], value));
    }
    const spans = [
      ['saleFrom', 'saleUntil'],
      ['liveFrom', 'liveUntil'],
    ] as const;
    for (const [from, until] of spans)
      if (product[from] !== before?.[from] || product[until] !== before[until])
        refuse(first, this.#place(until) ?? this.#place(from), refuseSpan(product[from], product[until]));
    if (product.quantityPrices !== before?.quantityPrices)
      refuse(first, this.#place('quantityPrices'), refuseQuantityPrices(product.quantityPrices)?.message);
    const was = new Set(before?.variants);
    for (const [row, variant] of variantOf) {
      if (was.has(variant)) continue;
      for (const { place, column } of this.#used) {
        if (column.of !== 'variant' || column.field === undefined) continue;
        const name = column.field as keyof typeof variantFields;
        refuse(
          row,
          place,
          misfitOf(variantFields[name], variant[name], kind) ?? problemOf(variantFields[name], variant[name]),
        );
      }
      const blamed = this.#place('variant salePrice') ?? this.#place('variant price');
      refuse(row, blamed, refuseSalePrice(variant.price, variant.salePrice));
    }
  }

  /** A missing title is told once, in its own words. */
  #isPlaceOf = (key: string, place: number, { title }: Product) => title === '' && this.#place(key) === place;

  #cells(before: Product | undefined, after: Product, variantOf: ReadonlyMap<number, Variant>): PlannedCell[] {
    const cells: PlannedCell[] = [];
    const oldVariants = new Map(before?.variants.map((variant) => [variant.id, variant]));
    const broken = new Set(this.#problems.map(({ row, column }) => `${row}:${column}`));
    const add = (row: number, column: number, was: string, will: string) => {
      if (was !== will && !broken.has(`${row}:${column}`)) cells.push({ row, column, was, will });
    };
    const { sources } = this;
    for (const { place, column } of this.#used) {
      if (column.of === 'product') {
        const row = this.group.rows.find((each) => this.at(each, place) !== '') ?? this.group.rows[0]!;
        const was = before ? cellText(column.write(before, undefined, sources)) : '';
        add(row, place, was, cellText(column.write(after, undefined, sources)));
      } else
        for (const [row, variant] of variantOf) {
          const old = oldVariants.get(variant.id);
          const was = before && old ? cellText(column.write(before, old, sources)) : '';
          add(row, place, was, cellText(column.write(after, variant, sources)));
        }
    }
    this.choices.columns.forEach((key, place) => {
      if (key !== OWN_FIELD || this.choices.columnsOff.includes(place)) return;
      const valueIn = (product: Product | undefined) =>
        product?.customFields.find(({ label }) => isSameName(label, this.table.head[place]!))?.value ?? '';
      add(this.group.rows[0]!, place, valueIn(before), valueIn(after));
    });
    return cells.sort((a, b) => a.row - b.row || a.column - b.column);
  }
}
