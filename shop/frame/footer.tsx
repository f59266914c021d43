import type { ShopData } from '../data';

export function Footer({ data }: { data: ShopData }) {
  const { shop, menu, base } = data;
  return (
    <footer className="mt-20 bg-deep text-white/80">
      <div className="mx-auto flex max-w-7xl flex-wrap justify-between gap-8 px-4 py-12 lg:px-8">
        <div className="max-w-sm">
          <p className="font-display text-lg font-bold text-white">{shop.name}</p>
          <p className="mt-2 text-sm leading-relaxed">{shop.tagline}</p>
        </div>
        <ul className="grid grid-cols-2 gap-x-10 gap-y-2 text-sm">
          {menu.items.map((item) => (
            <li key={item.url}>
              <a href={base + item.url} className="underline-offset-4 hover:text-white hover:underline">
                {item.label}
              </a>
            </li>
          ))}
        </ul>
      </div>
    </footer>
  );
}
