import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Catalog } from '../../server/state/catalog';
import { seedDemo } from '../seed-demo';
import { measureRelevance } from './measure';

test('the demo shop answers judged queries: the first ten are nearly as good as can be, and no page is empty', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'dispona-'));
  const catalog = new Catalog(folder);
  await seedDemo(catalog, () => undefined, false);
  const answers = measureRelevance(catalog.live.shop);
  catalog.close();
  rmSync(folder, { recursive: true });
  const mean = answers.reduce((sum, { ndcg }) => sum + ndcg, 0) / answers.length;
  expect(answers.length).toBeGreaterThanOrEqual(60);
  expect(answers.filter(({ total }) => total === 0).map(({ q }) => q)).toEqual([]);
  expect(mean).toBeGreaterThan(0.95);
}, 60_000);
