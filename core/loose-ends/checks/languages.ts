import { languageName } from '../../model/languages';
import { countsIn, type StateCounts } from '../../shop/translation-units';
import type { Check } from '../check';

const openOf = ({ missing, changed }: StateCounts) => ({ missing, changed });

export const languageGaps: Check = {
  key: 'languageGaps',
  label: 'Not all translated',
  about: 'Shoppers of this language meet words of another one.',
  harm: 3,
  find: ({ shop }) =>
    shop.settings.languages.others.flatMap(({ locale, isOn }) => {
      if (!isOn) return [];
      const sum = { missing: 0, changed: 0 };
      for (const counts of Object.values(countsIn(shop, locale))) {
        const { missing, changed } = openOf(counts);
        sum.missing += missing;
        sum.changed += changed;
      }
      if (sum.missing + sum.changed === 0) return [];
      const words = [
        ...(sum.missing > 0 ? [`${sum.missing} missing`] : []),
        ...(sum.changed > 0 ? [`${sum.changed} outdated`] : []),
      ].join(', ');
      return [{ on: { kind: 'wording' as const, key: locale, title: languageName(locale, 'en') }, words, share: 0.2 }];
    }),
};
