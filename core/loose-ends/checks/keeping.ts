import type { Check } from '../check';

const DAY_MS = 86_400_000;
const OLD_DAYS = 14;

export const oldBackup: Check = {
  key: 'oldBackup',
  label: 'Last backup is old',
  about: 'If this disk fails, all since then is lost. Make one now, or let one be made each night.',
  harm: 6,
  find: ({ lastBackup, now, products }) => {
    if (products.size === 0) return [];
    const days = lastBackup === null ? null : Math.floor((Date.parse(now) - Date.parse(lastBackup)) / DAY_MS);
    if (days !== null && days < OLD_DAYS) return [];
    const words = days === null ? 'None was ever made' : `${days} days ago`;
    return [{ on: { kind: 'backup', key: 'last', title: 'The whole shop' }, words, share: 0.1 }];
  },
};

export const plannedTouched: Check = {
  key: 'plannedTouched',
  label: 'Planned edition, touched since',
  about:
    'It goes live as it was planned, without what was changed since. Call it off and plan it anew to take that along.',
  harm: 5,
  find: ({ planned }) =>
    planned.flatMap(({ id, at, label, touched }) =>
      touched.length === 0
        ? []
        : [
            {
              on: { kind: 'plan' as const, key: id, title: label || `Edition of ${at.slice(0, 10)}` },
              words: touched.join(', '),
              share: 0.3,
            },
          ],
    ),
};
