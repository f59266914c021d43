import { useState } from 'react';
import { Link as To } from 'react-router';
import type { ShownPage } from '../../../data/engines';
import { addressOf } from '../../../shared/thing-addresses';
import { count } from '../../../shared/ui/count';
import { Pressed } from '../../../shared/ui/pressed';
import { ResultPreview } from '../../../shared/ui/result-preview';

const kindWords: Readonly<Record<ShownPage['kind'], string>> = {
  page: 'Pages',
  category: 'Categories',
  collection: 'Collections',
  brand: 'Brands',
  tag: 'Tags',
  chosenListing: 'Chosen listings',
  product: 'Products',
};

/** Everything that is shown, as it may look in a list of results. */
export function Shown({ pages, total, origin }: { pages: readonly ShownPage[]; total: number; origin: string }) {
  const [kind, setKind] = useState<ShownPage['kind']>('page');
  const kinds = (Object.keys(kindWords) as ShownPage['kind'][]).filter((each) =>
    pages.some((page) => page.kind === each),
  );
  const of = pages.filter((page) => page.kind === kind);
  return (
    <section aria-label="What search engines may show" className="sheet max-w-5xl p-4">
      <h2 className="font-display text-lg font-bold">What search engines may show</h2>
      <p className="mb-2 text-ink-2">
        {count(total)} pages stand in the{' '}
        <a href="/sitemap.xml" target="_blank" rel="noreferrer" className="underline">
          sitemap
        </a>
        . Searches, tags without a text, and listings that are narrowed or sorted do not, until you choose them.
      </p>
      <div className="mb-2 flex flex-wrap gap-1">
        {kinds.map((each) => (
          <Pressed key={each} isOn={each === kind} choose={() => setKind(each)}>
            {kindWords[each]}
          </Pressed>
        ))}
      </div>
      <ul className="divide-y divide-hair">
        {of.slice(0, 60).map((page) => (
          <li key={page.url} className="flex items-start justify-between gap-4 py-2">
            <ResultPreview origin={origin} {...page} />
            {page.kind !== 'chosenListing' && (
              <To
                to={addressOf({ kind: page.kind, key: page.id })!}
                className="shrink-0 rounded-lg px-2 py-1 font-medium text-ink-2 hover:bg-sunk"
              >
                Open
              </To>
            )}
          </li>
        ))}
        {of.length > 60 && <li className="py-2 text-ink-2">And {count(of.length - 60)} more.</li>}
      </ul>
    </section>
  );
}
