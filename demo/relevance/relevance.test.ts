import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Catalog } from '../../server/state/catalog';
import { seedDemo } from '../seed-demo';
import { judgedGerman } from './judged-german';
import { measureRelevance } from './measure';

test('the demo shop answers judged queries: the first ten are nearly as good as can be, and no page is empty', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-'));
  const catalog = new Catalog(folder);
  await seedDemo(catalog, () => undefined, false);
  const { shop } = catalog.live;
  const answers = measureRelevance(shop);
  const german = measureRelevance(shop.inLanguage('de'), judgedGerman);
  catalog.close();
  rmSync(folder, { recursive: true });
  const meanOf = (all: typeof answers) => all.reduce((sum, { ndcg }) => sum + ndcg, 0) / all.length;
  expect(answers.length).toBeGreaterThanOrEqual(60);
  expect(answers.filter(({ total }) => total === 0).map(({ q }) => q)).toEqual([]);
  expect(meanOf(answers)).toBeGreaterThan(0.95);
  expect(german.length).toBeGreaterThanOrEqual(answers.length - 2);
  expect(german.filter(({ total }) => total === 0).map(({ q }) => q)).toEqual([]);
  expect(meanOf(german)).toBeGreaterThan(0.92);
}, 60_000);
