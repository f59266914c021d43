import { searchConflicts } from '../../storefront/search-conflicts';
import type { Check } from '../check';

export const engineConflict: Check = {
  key: 'engineConflict',
  label: 'Search engines are told two things',
  about: 'They then decide by themselves, or leave the page out. The Words desk lists each with its mend.',
  harm: 2,
  find: ({ shop }) =>
    searchConflicts(shop).map(({ kind, id, name, words }) => ({
      on: { kind, key: id, title: name },
      words,
      share: 0.01,
    })),
};
