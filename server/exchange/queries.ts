import type { ExchangeColumn } from '../../core/exchange/column';
import { planImport } from '../../core/exchange/plan';
import type { PlannedProduct, PlannedProblem } from '../../core/exchange/planned';
import type { Product } from '../../core/model/product';
import { Pace } from '../shared/pace';
import type { Catalog } from '../state/catalog';
import type { KeptText } from '../store/wordings';
import { importedTexts, type WithTexts } from './imported-texts';
import { firstLook } from './imports';
import { namesOfShop } from './names';
import { columnsOf, importSources } from './plan-of-file';

interface PartOfShop {
  /** columns that may be read; the others change nothing */
  allows: (column: ExchangeColumn) => boolean;
  /** goods that may be met; a row of others is refused */
  owns: (product: Product) => boolean;
  /** why it is */
  foreign: string;
}

interface PlannedFile {
  planned: PlannedProduct[];
  refused: PlannedProblem[];
  /** headings of columns of which nothing is taken */
  ignored: string[];
}

/** What the rows of a file come to, as far as somebody who sees but a part of the shop may tell. Nothing is written. */
export async function planPartly(
  catalog: Catalog,
  file: { name: string; content: Buffer },
  { allows, owns, foreign }: PartOfShop,
): Promise<PlannedFile> {
  const { table, settings } = await firstLook(catalog, file);
  const columns = columnsOf(catalog);
  const allowed = new Set(columns.filter(allows).map(({ key }) => key));
  const choices = { ...settings, columns: settings.columns.map((key) => (key && allowed.has(key) ? key : null)) };
  const { names } = namesOfShop(catalog, false);
  const sources = importSources(catalog, table, choices, { columns, names, picture: () => undefined });
  const planned: PlannedProduct[] = [];
  const refused: PlannedProblem[] = [];
  const pace = new Pace();
  for (const one of planImport(table, choices, sources)) {
    await pace.pause();
    if (one?.before && !owns(one.before)) refused.push({ row: one.rows[0]!, column: null, message: foreign });
    else if (one?.state === 'refused') refused.push(...one.problems);
    else if (one) planned.push(one);
  }
  return { planned, refused, ignored: table.head.filter((_, place) => choices.columns[place] === null) };
}

/** Texts of products in other languages, as they are kept: a title gives an address where there is none yet. */
export const textsToKeep = (catalog: Catalog, products: readonly WithTexts[]): KeptText[] =>
  importedTexts(catalog, products);
