import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { writeFile as writeToDisk, rename } from 'node:fs/promises';
import { join } from 'node:path';
import type { exchangeRoutes } from '../../contract/exchange';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { rowsOfGoods } from '../../core/exchange/table-of-goods';
import { localOfMoment } from '../../core/shared/moment';
import type { Product } from '../../core/model/product';
import { productsOf } from '../bulk/queries';
import { StoppedError } from '../jobs/jobs';
import type { Follow } from '../jobs/work';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { namesOfShop } from './names';
import { columnsOf, toldIn } from './plan-of-file';
import { writeFile } from './write-file';

const KEPT_DAYS = 7;
const DAY_MS = 86_400_000;

type Kept = NonNullable<AnswerOf<typeof exchangeRoutes.addExport>['file']>;

/** From so many goods on, a file is made beside the work. */
const MANY = 2_000;

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

/** Makes a file of goods: at once, or, where there are many, beside the work. */
export async function exportGoods(
  catalog: Catalog,
  { which, format, per, columns: keys, hasMark, delimiter }: BodyOf<typeof exchangeRoutes.addExport>,
): Promise<AnswerOf<typeof exchangeRoutes.addExport>> {
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
  const at = catalog.clock().toISOString();
  const id = newId('export');
  const name = `goods-${localOfMoment(at, timeZone).slice(0, 10)}.${format}`;
  const make = async (follow?: Follow): Promise<Kept> => {
    const told = watched(products, follow);
    const rows = rowsOfGoods(told, columns, per, { timeZone, names, told: toldIn(catalog) });
    const content = await writeFile(format, columns, rows, { delimiter, hasMark });
    return keep(catalog, { id, name, at }, content);
  };
  if (products.length < MANY) return { file: await make(), job: null };
  const job = catalog.jobs.beside('Making a file of goods', async (tell, cancelled) => {
    const { bytes } = await make({ tell, isCancelled: () => Atomics.load(cancelled, 0) === 1 });
    return `Made “${name}” with ${products.length} products, ${Math.ceil(bytes / 1_000)} kB`;
  });
  return { file: null, job };
}

/** Goods one after another, for somebody who follows, and may stop it. */
function* watched(products: readonly Product[], follow: Follow | undefined): Generator<Product> {
  for (const [i, product] of products.entries()) {
    if (follow?.isCancelled()) throw new StoppedError('Stopped; no file was made');
    follow?.tell(i, products.length);
    yield product;
  }
}

async function keep(catalog: Catalog, { id, name, at }: Omit<Kept, 'bytes'>, content: Buffer): Promise<Kept> {
  const folder = folderOf(catalog);
  mkdirSync(folder, { recursive: true });
  // Whole or not at all: a file is moved to its name when it is finished.
  const arriving = join(folder, `arriving-${id}`);
  await writeToDisk(arriving, content);
  await rename(arriving, join(folder, `${id} ${name}`));
  return { id, name, bytes: content.length, at };
}
