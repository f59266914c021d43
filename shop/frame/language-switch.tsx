import { Globe } from 'lucide-react';
import type { LanguageLink } from '../../core/storefront/languages';
import { say } from '../tongue';

/** The same page in the other languages of the shop. As a list where there is room, else behind a button that also works without script. */
export function LanguageSwitch({ languages = [], isList = false }: { languages?: LanguageLink[]; isList?: boolean }) {
  if (languages.length < 2) return null;
  const here = languages.find(({ isHere }) => isHere);
  const links = languages.map(({ locale, name, url, isHere }) => (
    <li key={locale}>
      <a
        href={url}
        lang={locale}
        hrefLang={locale}
        aria-current={isHere ? 'true' : undefined}
        className="block rounded-lg px-3 py-2 text-sm text-ink hover:bg-mist aria-[current]:font-semibold"
      >
        {name}
      </a>
    </li>
  ));
  if (isList)
    return (
      <div className="mt-6 border-t border-line pt-4">
        <p className="px-3 text-xs text-ink-soft">{say('frame.language')}</p>
        <ul>{links}</ul>
      </div>
    );
  return (
    <details className="relative shrink-0 max-md:hidden lg:order-last">
      <summary className="flex cursor-pointer list-none items-center gap-1.5 rounded-full px-2 py-2 text-sm text-ink hover:bg-mist [&::-webkit-details-marker]:hidden">
        <Globe size={18} aria-hidden="true" />
        <span className="sr-only">{say('frame.language')}: </span>
        {here?.name}
      </summary>
      <ul className="absolute right-0 top-full z-40 mt-2 min-w-36 rounded-xl border border-line bg-paper p-1 shadow-large">
        {links}
      </ul>
    </details>
  );
}
