import type { Product } from '../model/product';
import { isSameName } from '../shared/same-name';
import { cellText, type WriteTerms } from './column';
import type { FileCells } from './file-cells';
import type { Assembled, PlannedCell, PlannedProblem } from './planned';

/** What becomes another, cell by cell, in the order of the file. */
export function plannedCells(
  { at, used, own, table }: FileCells,
  rows: readonly number[],
  { product: after, before, variantOf, texts }: Assembled,
  problems: readonly PlannedProblem[],
  sources: WriteTerms,
): PlannedCell[] {
  const cells: PlannedCell[] = [];
  const oldVariants = new Map(before?.variants.map((variant) => [variant.id, variant]));
  const broken = new Set(problems.map(({ row, column }) => `${row}:${column}`));
  const add = (row: number, column: number, was: string, will: string) => {
    if (was !== will && !broken.has(`${row}:${column}`)) cells.push({ row, column, was, will });
  };
  for (const { place, column } of used) {
    if (column.of === 'product') {
      const row = rows.find((each) => at(each, place) !== '') ?? rows[0]!;
      const was = before ? cellText(column.write(before, undefined, sources)) : '';
      const { wording } = column;
      const told = wording && texts.find(({ locale, path }) => locale === wording.locale && path === wording.path);
      if (told) add(row, place, was, told.text ?? '');
      else if (!wording) add(row, place, was, cellText(column.write(after, undefined, sources)));
    } else
      for (const [row, variant] of variantOf) {
        const old = oldVariants.get(variant.id);
        const was = before && old ? cellText(column.write(before, old, sources)) : '';
        add(row, place, was, cellText(column.write(after, variant, sources)));
      }
  }
  for (const place of own) {
    const valueIn = (product: Product | undefined) =>
      product?.customFields.find(({ label }) => isSameName(label, table.head[place]!))?.value ?? '';
    add(rows[0]!, place, valueIn(before), valueIn(after));
  }
  return cells.sort((a, b) => a.row - b.row || a.column - b.column);
}
