import { pagePatterns, patternKeys } from './page-patterns';
import { sectionBodySchema } from './sections/sections';

test.each(patternKeys)('a page that begins as “%s” can be saved as it is', (key) => {
  const { name, about, sections } = pagePatterns[key];
  expect(name).toMatch(/^[A-Z]/);
  expect(about).toMatch(/\.$/);
  for (const section of sections()) expect(sectionBodySchema.safeParse(section).error).toBeUndefined();
});
