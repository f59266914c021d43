import type { ShopData } from '../data';
import { SearchBox } from './search-box';

interface Props {
  data: ShopData;
}

/** Name, search and menu. The menu is plain links and native disclosure, so it works before any script has run. */
export function Header({ data }: Props) {
  const { shop, base, menu, url } = data;
  const isHere = (to: string) => url === to || url.startsWith(`${to}?`);
  return (
    <header className="border-b border-line bg-white">
      <div className="mx-auto flex max-w-7xl items-center gap-x-6 gap-y-3 px-4 py-4 max-md:flex-wrap lg:px-8">
        <a href={`${base}/`} className="shrink-0 font-display text-xl font-bold tracking-tight text-ink">
          {shop.name}
        </a>
        <nav
          aria-label="Shop"
          className="max-md:order-last max-md:-mx-4 max-md:w-screen max-md:overflow-x-auto max-md:px-4"
        >
          <ul className="flex items-center gap-1">
            {menu.items.map((item) => (
              <li key={item.url} className="group relative">
                <a
                  href={base + item.url}
                  aria-current={isHere(item.url) ? 'page' : undefined}
                  className="block whitespace-nowrap rounded-full px-3 py-2 text-sm font-medium text-ink hover:bg-mist aria-[current]:bg-mist"
                >
                  {item.label}
                </a>
                {item.items.length > 0 && (
                  <ul className="invisible absolute left-0 top-full z-30 min-w-52 rounded-2xl border border-line bg-white p-2 opacity-0 shadow-lg transition group-focus-within:visible group-focus-within:opacity-100 group-hover:visible group-hover:opacity-100 max-md:hidden">
                    {item.items.map((sub) => (
                      <li key={sub.url}>
                        <a href={base + sub.url} className="block rounded-xl px-3 py-2 text-sm text-ink hover:bg-mist">
                          {sub.label}
                        </a>
                      </li>
                    ))}
                  </ul>
                )}
              </li>
            ))}
          </ul>
        </nav>
        <SearchBox base={base} initial={data.page.kind === 'listing' ? (data.page.q ?? '') : ''} />
      </div>
    </header>
  );
}
