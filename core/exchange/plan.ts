import { productDefaults, variantDefaults, type Product, type Variant } from '../model/product';
import { productFields } from '../model/product-fields';
import type { NewId } from '../products/merge-split';
import { isSameName } from '../shared/same-name';
import { checkPlanned } from './check-planned';
import type { ImportChoices } from './choices';
import { cellText, type Cell, type ExchangeColumn, type ReadTerms, type WriteTerms } from './column';
import { FileCells } from './file-cells';
import { groupRows, type FileTable, type Find, type RowGroup } from './group-rows';
import { optionColumnOf } from './option-columns';
import type { Assembled, PlannedCell, PlannedProblem, PlannedProduct, PlannedText, Refuse } from './planned';
import type { KnownPicture } from './known-picture';
import { toldPictures } from './picture-column';
import { plannedCells } from './planned-cells';
import { plannedOptions } from './planned-options';
import { attributeOf } from './spec-columns';
import { sourceText } from './wording-columns';

export interface ImportSources extends ReadTerms, WriteTerms {
  columns: readonly ExchangeColumn[];
  find: Find;
  /** the spec sheet of an attribute */
  sheetOf: (attributeId: string) => string | undefined;
  newId: NewId;
  freeSlug: (wanted: string) => string;
  /** behind all products that are featured already */
  nextFeaturedPlace: number;
  /** UTC */
  now: string;
}

/** A cell as people see it: spaces around are no part of it. */
const seenText = (cell: Cell): string => cellText(cell).trim();

/** Plans what the rows of each product come to; one after another, and nothing now and then, so that others can be served between. */
export function* planImport(
  table: FileTable,
  choices: ImportChoices,
  sources: ImportSources,
): Generator<PlannedProduct | undefined> {
  const cells = new FileCells(table, choices, sources.columns);
  const leftOut = new Set(choices.leftOut);
  const groups = yield* groupRows(table, {
    cell: (row, key) => cells.cell(row, key),
    wanted: (row) => cells.wanted(row),
    find: sources.find,
    match: choices.match,
    tellsProducts: cells.places.has('title') || cells.places.has('slug'),
    isLeftOut: (row) => leftOut.has(row) || table.rows[row]!.every((text) => text.trim() === ''),
  });
  for (const group of groups) yield new GroupPlan(cells, sources, group).plan();
}

class GroupPlan {
  readonly #problems: PlannedProblem[] = [];

  constructor(
    readonly cells: FileCells,
    readonly sources: ImportSources,
    readonly group: RowGroup,
  ) {}

  plan(): PlannedProduct {
    const { rows, product: before, problem } = this.group;
    const { way } = this.cells.choices;
    const title = this.#text('title') || before?.title || '';
    const told = { rows, title, cells: [] as PlannedCell[], before, after: undefined, texts: [] as PlannedText[] };
    if (problem && way !== 'delete' && way !== 'update')
      return { ...told, state: 'refused', problems: [{ row: rows[0]!, column: null, message: problem }] };
    if (way === 'delete') return { ...told, state: before ? 'deleted' : 'passed', problems: [] };
    if (before ? way === 'add' : way === 'update') return { ...told, state: 'passed', problems: [] };
    const assembled = this.#assembled(before);
    const { product } = assembled;
    checkPlanned(this.cells, rows, assembled, this.#problems, this.#refuse);
    const cells = plannedCells(this.cells, rows, assembled, this.#problems, this.sources);
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
      texts: assembled.texts,
    };
  }

  #text = (key: string) => {
    const place = this.cells.placeOf(key);
    return place === undefined ? '' : this.cells.at(this.group.rows[0]!, place);
  };
  #refuse: Refuse = (row, column, message) => this.#problems.push({ row, column: column ?? null, message });

  /** The product as the rows make it. */
  #assembled(before: Product | undefined): Assembled {
    const { sources, group } = this;
    const base = before ?? this.#empty();
    const fields = this.#productValues(base, before === undefined);
    const { options, rowValues } = plannedOptions(this.cells, group.rows, base, sources.newId, this.#refuse);
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
        if (this.cells.used.some(({ column }) => column.of === 'variant') && before.variants.length > 1) {
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
      if (twin !== undefined && this.cells.used.some(({ column }) => column.of === 'variant'))
        this.#refuse(row, null, `Row ${this.cells.lineOf(twin)} is about the same variant.`);
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
    return { before, product, variantOf, texts: this.#texts(product) };
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

  /** What a column says of the product: the first of its rows that says something. What another row says otherwise is refused. */
  #said(place: number): { row: number; text: string } {
    const row = this.group.rows.find((each) => this.cells.at(each, place) !== '') ?? this.group.rows[0]!;
    const text = this.cells.at(row, place);
    const other = this.group.rows.find(
      (each) => this.cells.at(each, place) !== '' && this.cells.at(each, place) !== text,
    );
    if (other !== undefined)
      this.#refuse(other, place, `Row ${this.cells.lineOf(row)} of the same product says something else.`);
    return { row, text };
  }

  /** What the product says in other languages, where that becomes another. */
  #texts(product: Product): PlannedText[] {
    const texts: PlannedText[] = [];
    for (const { place, column } of this.cells.used) {
      const { wording } = column;
      if (!wording) continue;
      const { row, text } = this.#said(place);
      if (text === seenText(column.write(product, undefined, this.sources))) continue;
      const read = column.read(text, this.sources);
      const source = sourceText(product, wording.path);
      if ('problem' in read) this.#refuse(row, place, read.problem);
      else if (source === '' && read.value !== null)
        this.#refuse(row, place, 'There is no text in the main language that this could translate.');
      else texts.push({ ...wording, text: read.value as string | null, source });
    }
    return texts;
  }

  /** What the columns of the product hold. */
  #productValues(base: Product, isNew: boolean): Partial<Product> {
    const values: Record<string, unknown> = {};
    for (const { place, column } of this.cells.used) {
      if (column.of !== 'product' || column.wording || optionColumnOf(column.key)) continue;
      const { row, text } = this.#said(place);
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
      else if (column.field === 'pictures')
        values.pictures = toldPictures(base, read.value as KnownPicture[], this.sources.newId);
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
    let customFields = (values.customFields as Product['customFields'] | undefined) ?? base.customFields;
    for (const place of this.cells.own) {
      const label = this.cells.table.head[place]!;
      const value = this.group.rows.map((row) => this.cells.at(row, place)).find(Boolean) ?? '';
      const rest = customFields.filter((each) => !isSameName(each.label, label));
      const was = customFields.find((each) => isSameName(each.label, label));
      if (value === (was?.value ?? '')) continue;
      customFields = value === '' ? rest : [...rest, { label, value }];
    }
    return customFields === base.customFields ? {} : { customFields };
  }

  #variantValues(variant: Variant, row: number, isNew: boolean): Variant {
    const values: Record<string, unknown> = {};
    for (const { place, column } of this.cells.used) {
      if (column.of !== 'variant' || optionColumnOf(column.key)) continue;
      const text = this.cells.at(row, place);
      if (!isNew && text === seenText(column.write(this.group.product!, variant, this.sources))) continue;
      const read = column.read(text, this.sources);
      if ('problem' in read) this.#refuse(row, place, read.problem);
      else values[column.field!] = read.value;
    }
    const isChanged = Object.entries(values).some(([name, value]) => variant[name as keyof Variant] !== value);
    return isChanged ? { ...variant, ...values } : variant;
  }
}
