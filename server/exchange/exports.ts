import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { writeFile as writeToDisk, rename } from 'node:fs/promises';
import { join } from 'node:path';
import type { exchangeRoutes } from '../../contract/exchange';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { rowsOfGoods } from '../../core/exchange/table-of-goods';
import { localOfMoment } from '../../core/shared/moment';
import { productsOf } from '../bulk/queries';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { namesOfShop } from './names';
import { columnsOf } from './plan-of-file';
import { writeFile } from './write-file';

const KEPT_DAYS = 7;
const DAY_MS = 86_400_000;

type Kept = AnswerOf<typeof exchangeRoutes.addExport>;

const folderOf = ({ folder }: Catalog) => join(folder, 'exports');

/** Files that were made in the last week, the last one first; older ones go. */
export function keptExports(catalog: Catalog): Kept[] {
  const folder = folderOf(catalog);
  mkdirSync(folder, { recursive: true });
  const now = catalog.clock().getTime();
  return readdirSync(folder)
    .flatMap((file): Kept[] => {
      const { size, mtimeMs } = statSync(join(folder, file));
      const [, id, name] = /^([a-z]+_[a-z0-9]+) (.+)$/.exec(file) ?? [];
      if (now - mtimeMs > KEPT_DAYS * DAY_MS) rmSync(join(folder, file), { force: true });
      // What was being made when the power went has no name.
      else if (id !== undefined && name !== undefined)
        return [{ id, name, bytes: size, at: new Date(mtimeMs).toISOString() }];
      return [];
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}

/** Where a file that was made lies. */
export function exportedFile(catalog: Catalog, id: string): { path: string; name: string } {
  const kept = keptExports(catalog).find((each) => each.id === id);
  if (!kept) throw notFound(refusals.noSuchFile);
  return { path: join(folderOf(catalog), `${kept.id} ${kept.name}`), name: kept.name };
}

/** Makes a file of goods. */
export async function exportGoods(
  catalog: Catalog,
  { which, format, per, columns: keys, hasMark, delimiter }: BodyOf<typeof exchangeRoutes.addExport>,
): Promise<Kept> {
  const { shop } = catalog.working;
  const known = new Map(columnsOf(catalog).map((column) => [column.key, column]));
  const columns = keys.map((key, i) => {
    const column = known.get(key);
    if (!column) throw invalidField(['columns', i], refusals.noSuchColumn);
    return column;
  });
  const products = productsOf(catalog, which);
  if (products.length === 0) throw invalidField(['which'], refusals.pickAProduct);
  const { timeZone } = shop.settings;
  const { names } = namesOfShop(catalog, false);
  const rows = rowsOfGoods(products, columns, per, { timeZone, names });
  const content = await writeFile(format, columns, rows, { delimiter, hasMark });
  const at = catalog.clock().toISOString();
  const id = newId('export');
  const name = `goods-${localOfMoment(at, timeZone).slice(0, 10)}.${format}`;
  const folder = folderOf(catalog);
  mkdirSync(folder, { recursive: true });
  // Whole or not at all: a file is moved to its name when it is finished.
  const arriving = join(folder, `arriving-${id}`);
  await writeToDisk(arriving, content);
  await rename(arriving, join(folder, `${id} ${name}`));
  return { id, name, bytes: content.length, at };
}
