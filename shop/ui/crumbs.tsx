import type { LinkView } from '../../core/storefront/pages/targets';
import { useBase } from '../base';
import { say } from '../tongue';

/** The way from the home page to here. */
export function Crumbs({ crumbs }: { crumbs: readonly LinkView[] }) {
  const base = useBase();
  if (crumbs.length === 0) return null;
  return (
    <nav aria-label={say('frame.youAreHere')} className="mb-4 text-sm text-ink-soft">
      <ol className="flex flex-wrap gap-x-2">
        {[{ label: say('frame.home'), url: '/' }, ...crumbs].map((crumb, i) => (
          <li key={crumb.url} className="flex gap-x-2">
            {i > 0 && <span aria-hidden="true">/</span>}
            <a href={base + crumb.url} className="hover:text-ink hover:underline">
              {crumb.label}
            </a>
          </li>
        ))}
      </ol>
    </nav>
  );
}
