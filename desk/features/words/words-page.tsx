import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { PartedDesk } from '../../shared/ui/parted-desk';
import { Glossary } from './glossary';
import { Engines } from './engines/engines';
import { Forwards } from './forwards';
import { Languages } from './languages';
import { Searched } from './searched';
import { Translate } from './translate';

const parts: readonly { part: string; words: string; draw: () => ReactNode }[] = [
  { part: 'languages', words: 'Languages', draw: () => <Languages /> },
  { part: 'glossary', words: 'Glossary', draw: () => <Glossary /> },
  { part: 'searched', words: 'Searched', draw: () => <Searched /> },
  { part: 'engines', words: 'Search engines', draw: () => <Engines /> },
  { part: 'forwards', words: 'Forwards', draw: () => <Forwards /> },
];

/** Everything about words: other languages, what search engines are told, what shoppers search, where old addresses lead. */
export function WordsPage() {
  const { locale } = useParams();
  if (locale) return <Translate key={locale} locale={locale} />;
  return <PartedDesk name="Words" at="/words" parts={parts} />;
}
