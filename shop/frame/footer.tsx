import type { MenuItemView } from '../../core/storefront/menu-view';
import { useHref } from '../base';
import type { ShopData } from '../data';
import { ShopSign } from './shop-sign';
import { say } from '../tongue';

const link = 'underline-offset-4 hover:text-white hover:underline';

const FooterLink = ({ item, className = '' }: { item: MenuItemView; className?: string }) => {
  const href = useHref();
  return item.url === null ? (
    item.label
  ) : (
    <a href={href(item.url)} className={`${link} ${className}`}>
      {item.label}
    </a>
  );
};

/** An item and all below it, one after the other. */
const withBelow = (item: MenuItemView): MenuItemView[] => [item, ...item.items.flatMap(withBelow)];

/** One column of the foot, below its heading. */
const Column = ({ column }: { column: MenuItemView }) => (
  <div className="min-w-28">
    {column.url === null ? (
      <p className="mb-3 font-semibold text-white">{column.label}</p>
    ) : (
      <FooterLink item={column} className="mb-3 block font-semibold text-white" />
    )}
    <ul className="flex flex-col gap-2">
      {column.items.flatMap(withBelow).map((item, i) => (
        <li key={i}>
          <FooterLink item={item} />
        </li>
      ))}
    </ul>
  </div>
);

const Flat = ({ items, className }: { items: readonly MenuItemView[]; className: string }) => (
  <ul className={className}>
    {items.map((item, i) => (
      <li key={i}>
        <FooterLink item={item} />
      </li>
    ))}
  </ul>
);

const Social = ({ social = [] }: Pick<ShopData['shop'], 'social'>) =>
  social.length > 0 && (
    <ul aria-label={say('frame.elsewhere')} className="flex flex-wrap gap-x-5 gap-y-2 text-sm">
      {social.map(({ name, url }) => (
        <li key={url}>
          <a href={url} rel="me noopener" className={link}>
            {name}
          </a>
        </li>
      ))}
    </ul>
  );

/** Name, sentence and what the seller put at the foot; the menu once more where that is nothing. */
export function Footer({ data }: { data: ShopData }) {
  const { shop, menu } = data;
  const columns = menu.footer;
  // In one line, headings that lead nowhere would part nothing.
  const flat = (columns.length > 0 ? columns.flatMap(withBelow) : menu.items).filter(({ url }) => url !== null);
  const name = (
    <p className="font-display text-lg font-bold text-white">
      <ShopSign shop={shop} isOnDark />
    </p>
  );
  const box = 'mx-auto flex max-w-7xl px-4 lg:px-8';
  if (shop.look.footer === 'compact')
    return (
      <footer className="mt-20 bg-deep text-white/80">
        <div className={`${box} flex-wrap items-center justify-between gap-x-10 gap-y-4 py-6`}>
          {name}
          <nav aria-label={say('frame.foot')}>
            <Flat items={flat} className="flex flex-wrap gap-x-6 gap-y-2 text-sm" />
          </nav>
          <Social social={shop.social} />
        </div>
      </footer>
    );
  const tagline = <p className="mt-2 text-sm leading-relaxed">{shop.tagline}</p>;
  const isCentred = shop.look.footer === 'centred';
  return (
    <footer className="mt-20 bg-deep text-white/80">
      <div
        className={`${box} ${isCentred ? 'flex-col items-center gap-8 py-12 text-center' : 'flex-wrap justify-between gap-10 py-12'}`}
      >
        <div className="flex max-w-sm flex-col gap-4">
          <div>
            {name}
            {tagline}
          </div>
          <Social social={shop.social} />
        </div>
        {columns.length === 0 && flat.length > 0 && (
          <Flat
            items={flat}
            className={
              isCentred
                ? 'flex flex-wrap justify-center gap-x-8 gap-y-2 text-sm'
                : 'grid grid-cols-2 gap-x-10 gap-y-2 text-sm'
            }
          />
        )}
        {columns.length > 0 && (
          <nav
            aria-label={say('frame.foot')}
            className={`flex flex-wrap gap-x-14 gap-y-8 text-sm ${isCentred ? 'justify-center' : ''}`}
          >
            {columns.map((column, i) => (
              <Column key={i} column={column} />
            ))}
          </nav>
        )}
      </div>
    </footer>
  );
}
