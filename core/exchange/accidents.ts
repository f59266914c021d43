import type { Product } from '../model/product';
import { countWords } from '../shared/count-words';
import type { FileTable } from './group-rows';
import type { ImportChoices } from './choices';
import { FileCells } from './file-cells';
import type { PlannedProduct } from './planned';

/** The share of products from which on something looks like an accident. */
const MOST = 0.6;
const FEW = 3;

interface Seen {
  products: number;
  passed: number;
  priced: number;
  /** how the price of each changed variant became another: after ÷ before */
  factors: number[];
  stocked: number;
  stockGone: number;
  blanked: Map<number, { blank: number; was: number }>;
}

const variantsOf = (product: Product | undefined) => new Map(product?.variants.map((variant) => [variant.id, variant]));

/** Watches a plan go by for what usually goes wrong with files, and tells it in plain words. */
export class Accidents {
  readonly #seen: Seen = {
    products: 0,
    passed: 0,
    priced: 0,
    factors: [],
    stocked: 0,
    stockGone: 0,
    blanked: new Map(),
  };

  see({ before, after, state, cells }: PlannedProduct): void {
    const seen = this.#seen;
    seen.products++;
    if (state === 'passed' || (state === 'refused' && !before)) seen.passed++;
    for (const { column, was, will } of cells) {
      if (was === '') continue;
      const blanked = seen.blanked.get(column) ?? { blank: 0, was: 0 };
      seen.blanked.set(column, { blank: blanked.blank + (will === '' ? 1 : 0), was: blanked.was + 1 });
    }
    if (!before || !after) return;
    const old = variantsOf(before);
    for (const variant of after.variants) {
      const was = old.get(variant.id);
      if (!was) continue;
      if (was.price > 0 && variant.price !== was.price) seen.factors.push(variant.price / was.price);
      if (was.stock !== null && was.stock > 0) {
        seen.stocked++;
        if (variant.stock === 0) seen.stockGone++;
      }
    }
  }

  /** What looks like an accident, once all was seen. */
  warnings(table: FileTable, choices: ImportChoices): string[] {
    const { products, passed, factors, stocked, stockGone, blanked } = this.#seen;
    const warnings: string[] = [];
    const near = (factor: number) => factors.filter((each) => Math.abs(each / factor - 1) < 0.02).length;
    const isMost = (count: number, all: number) => all >= FEW && count > all * MOST;
    if (isMost(near(100), factors.length))
      warnings.push('Most prices become a hundred times what they were: look at the decimal mark.');
    if (isMost(near(0.01), factors.length))
      warnings.push('Most prices become a hundredth of what they were: look at the decimal mark.');
    if (isMost(stockGone, stocked))
      warnings.push(`Nothing is left of ${countWords(stockGone, 'variant', 'variants')} that had pieces in stock.`);
    if (choices.way === 'update' && isMost(passed, products))
      warnings.push('Most rows were not found in the shop: are they looked for by the right column?');
    for (const [column, { blank, was }] of blanked)
      if (isMost(blank, was))
        warnings.push(`“${table.head[column]}” would be emptied almost everywhere: switch the column off to leave it.`);
    const { places, at } = new FileCells(table, choices);
    const barcodes = places.get('variant barcode');
    const broken =
      barcodes === undefined ? 0 : table.rows.filter((_, row) => /^\d[.,]\d+E\+?\d+$/i.test(at(row, barcodes))).length;
    if (broken > 0)
      warnings.push(
        `${countWords(broken, 'barcode was', 'barcodes were')} turned into something like 4.0E+12 by a spreadsheet. Save the column as text, and take the file again.`,
      );
    return warnings;
  }
}
