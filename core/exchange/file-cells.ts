import type { ExchangeColumn } from './column';
import { columnPlaceOf, OWN_FIELD, type ImportChoices } from './choices';
import type { FileTable } from './group-rows';

/** A column of a file, and what it fills. */
export interface UsedColumn {
  place: number;
  column: ExchangeColumn;
}

/** The cells of a file as they are mended, and what its columns fill. */
export class FileCells {
  /** columns that change goods */
  readonly used: readonly UsedColumn[];
  /** places of the columns that become fields of the product's own */
  readonly own: readonly number[];
  /** places of all columns that fill something, those that are off too, by what they fill */
  readonly places: ReadonlyMap<string, number>;
  readonly #usedPlaces: ReadonlyMap<string, number>;
  readonly #mended: ReadonlyMap<number, ReadonlyMap<number, string>>;

  constructor(
    readonly table: FileTable,
    readonly choices: ImportChoices,
    columns: readonly ExchangeColumn[] = [],
  ) {
    const byKey = new Map(columns.map((column) => [column.key, column]));
    const isOff = new Set(choices.columnsOff);
    this.used = choices.columns.flatMap((key, place) => {
      const column = key === null || isOff.has(place) ? undefined : byKey.get(key);
      return column ? [{ place, column }] : [];
    });
    this.own = choices.columns.flatMap((key, place) => (key === OWN_FIELD && !isOff.has(place) ? [place] : []));
    this.places = new Map(
      choices.columns.flatMap((key, place) => (key === null || key === OWN_FIELD ? [] : [[key, place]])),
    );
    this.#usedPlaces = new Map(this.used.map(({ place, column }) => [column.key, place]));
    const mended = new Map<number, Map<number, string>>();
    for (const [where, text] of Object.entries(choices.mended)) {
      const [row, place] = where.split(':').map(Number) as [number, number];
      mended.set(row, (mended.get(row) ?? new Map<number, string>()).set(place, text));
    }
    this.#mended = mended;
  }

  at = (row: number, place: number): string => {
    const mended = this.#mended.size > 0 ? this.#mended.get(row)?.get(place) : undefined;
    return (mended ?? this.table.rows[row]![place] ?? '').trim();
  };

  /** The text of a row in the column that fills something; '' where there is none. */
  cell(row: number, key: string): string {
    const place = this.places.get(key);
    return place === undefined ? '' : this.at(row, place);
  }

  /** Where the column is that changes something of goods. */
  placeOf = (key: string): number | undefined => this.#usedPlaces.get(key);

  /** By what a row is to be found in the shop. */
  wanted(row: number): string {
    const place = columnPlaceOf(this.choices.match);
    return place === undefined
      ? this.cell(row, keyOfMatching[this.choices.match as keyof typeof keyOfMatching])
      : this.at(row, place);
  }

  /** The number that a spreadsheet shows beside a row. */
  lineOf = (row: number): number => row + (this.choices.hasHead ? 2 : 1);
}

/** Which column holds what rows are found by. */
export const keyOfMatching = { sku: 'variant sku', barcode: 'variant barcode', slug: 'slug', title: 'title' };
