import { resolve } from 'node:path';
import { Catalog } from '../server/catalog/catalog';
import { seedDemo } from './seed-demo';

/** Seeds an empty data folder with the demo shop; leaves a folder that holds a shop alone. */
const folder = resolve(process.env.DISPONA_DATA ?? 'data');
const catalog = new Catalog(folder);
try {
  await seedDemo(catalog, (line) => console.log(line));
} finally {
  catalog.close();
}
