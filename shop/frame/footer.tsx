import { useHref } from '../base';
import type { ShopData } from '../data';

const link = 'underline-offset-4 hover:text-white hover:underline';

/** Name, sentence and what the seller put at the foot; the menu once more where that is nothing. */
export function Footer({ data }: { data: ShopData }) {
  const { shop, menu } = data;
  const href = useHref();
  const columns = menu.footer;
  const flat = columns.length > 0 ? [] : menu.items.filter(({ url }) => url !== null);
  return (
    <footer className="mt-20 bg-deep text-white/80">
      <div className="mx-auto flex max-w-7xl flex-wrap justify-between gap-10 px-4 py-12 lg:px-8">
        <div className="max-w-sm">
          <p className="font-display text-lg font-bold text-white">{shop.name}</p>
          <p className="mt-2 text-sm leading-relaxed">{shop.tagline}</p>
        </div>
        {flat.length > 0 && (
          <ul className="grid grid-cols-2 gap-x-10 gap-y-2 text-sm">
            {flat.map(({ url, label }) => (
              <li key={url}>
                <a href={href(url!)} className={link}>
                  {label}
                </a>
              </li>
            ))}
          </ul>
        )}
        {columns.length > 0 && (
          <nav aria-label="At the foot" className="flex flex-wrap gap-x-14 gap-y-8 text-sm">
            {columns.map((column, i) => (
              <div key={i} className="min-w-28">
                {column.url === null ? (
                  <p className="mb-3 font-semibold text-white">{column.label}</p>
                ) : (
                  <a href={href(column.url)} className={`mb-3 block font-semibold text-white ${link}`}>
                    {column.label}
                  </a>
                )}
                <ul className="flex flex-col gap-2">
                  {column.items
                    .flatMap((item) => [item, ...item.items])
                    .map((item, j) => (
                      <li key={j}>
                        {item.url === null ? (
                          item.label
                        ) : (
                          <a href={href(item.url)} className={link}>
                            {item.label}
                          </a>
                        )}
                      </li>
                    ))}
                </ul>
              </div>
            ))}
          </nav>
        )}
      </div>
    </footer>
  );
}
