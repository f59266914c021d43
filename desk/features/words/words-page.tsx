import type { ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { useTitle } from '../../shared/ui/use-title';
import { Glossary } from './glossary';
import { Engines } from './engines';
import { Forwards } from './forwards';
import { Languages } from './languages';
import { Searched } from './searched';
import { Translate } from './translate';

/** What the desk of words is parted into; the first one is shown where none is asked for. */
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
  const [params] = useSearchParams();
  useTitle('Words');
  if (locale) return <Translate key={locale} locale={locale} />;
  const shown = parts.find(({ part }) => part === params.get('part')) ?? parts[0]!;
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="font-display text-2xl font-bold">Words</h1>
        <div role="tablist" aria-label="Words" className="flex flex-wrap gap-1">
          {parts.map(({ part, words }) => (
            <Link
              key={part}
              role="tab"
              aria-selected={part === shown.part}
              to={part === parts[0]!.part ? '/words' : `/words?part=${part}`}
              className="rounded-lg px-3 py-1.5 hover:bg-line aria-selected:bg-ink aria-selected:text-sheet"
            >
              {words}
            </Link>
          ))}
        </div>
      </div>
      {shown.draw()}
    </div>
  );
}
