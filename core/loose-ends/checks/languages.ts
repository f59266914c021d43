import { languageName } from '../../model/languages';
import { countsIn } from '../../shop/translation-units';
import type { Check } from '../check';

export const languageGaps: Check = {
  key: 'languageGaps',
  label: 'Not all translated',
  about: 'Shoppers of this language meet words of another one.',
  harm: 3,
  find: ({ shop }) =>
    shop.settings.languages.others.flatMap(({ locale, isOn }) => {
      if (!isOn) return [];
      const counts = Object.values(countsIn(shop, locale));
      const missing = counts.reduce((all, each) => all + each.missing, 0);
      const outdated = counts.reduce((all, each) => all + each.changed, 0);
      if (missing + outdated === 0) return [];
      const words = [
        ...(missing > 0 ? [`${missing} missing`] : []),
        ...(outdated > 0 ? [`${outdated} outdated`] : []),
      ].join(', ');
      return [{ on: { kind: 'wording' as const, key: locale, title: languageName(locale, 'en') }, words, share: 0.2 }];
    }),
};
