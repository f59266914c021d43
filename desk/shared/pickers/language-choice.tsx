import { languageName } from '../../../core/model/languages';
import { useLanguages } from '../../data/languages';
import { OneOf } from '../ui/one-of';

/** In which language something is told, where the shop has several; '' for the main one. */
export function LanguageChoice({ value, change }: { value: string; change: (locale: string) => void }) {
  const { data } = useLanguages();
  if (!data || data.languages.length === 0) return null;
  return (
    <OneOf
      label="Language"
      choices={[
        { value: '', label: data.main.name },
        ...data.languages.map(({ locale }) => ({ value: locale, label: languageName(locale, 'en') })),
      ]}
      value={value}
      choose={change}
    />
  );
}
