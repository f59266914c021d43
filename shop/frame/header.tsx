import { Menu, ShoppingBasket } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { useHref, useIsWindow } from '../base';
import type { Look } from '../../core/model/look';
import { useBasketDesk } from '../basket/basket-store';
import type { ShopData } from '../data';
import { CloseButton } from '../ui/close-button';
import { PhoneMenu, WideMenu } from './menu-list';
import { LanguageSwitch } from './language-switch';
import { ShopSign } from './shop-sign';
import { SearchBox } from './search-box';
import { inTongue, say } from '../tongue';

interface Props {
  data: ShopData;
}

/** Where name, menu and search stand on a wide screen; on a narrow one they are alike. */
const heads: Record<Look['header'], { box: string; name: string; menu: string; search: string }> = {
  row: { box: '', name: '', menu: '', search: '' },
  stacked: { box: 'lg:flex-wrap', name: 'lg:text-2xl', menu: 'lg:order-last lg:w-full', search: 'lg:max-w-md' },
  split: {
    box: 'lg:grid lg:grid-cols-[1fr_auto_1fr]',
    name: 'lg:order-2 lg:text-2xl',
    menu: 'lg:order-1',
    search: 'lg:order-3',
  },
  centred: {
    box: 'lg:flex-wrap lg:justify-between',
    name: 'lg:w-full lg:text-center lg:text-3xl',
    menu: '',
    search: '',
  },
};

/** The way to the basket, with how much is in it once the browser knows. */
function BasketLink() {
  const pieces = useBasketDesk()?.pieces ?? 0;
  const isWindow = useIsWindow();
  const look = 'flex shrink-0 items-center gap-1.5 rounded-full px-2 py-2 text-ink max-lg:ml-auto lg:order-last';
  const drawn = (
    <>
      <ShoppingBasket size={22} aria-hidden="true" />
      <span className="sr-only">{say('frame.basket')}</span>
      {pieces > 0 && (
        <span className="text-sm font-semibold tabular-nums">
          <span aria-hidden="true">{pieces}</span>
          <span className="sr-only">{say('frame.pieces', { count: pieces })}</span>
        </span>
      )}
    </>
  );
  // The shop window sells nothing.
  if (isWindow) return <span className={look}>{drawn}</span>;
  return (
    <a href={inTongue('/basket')} className={`${look} hover:bg-mist`}>
      {drawn}
    </a>
  );
}

/** Name, search and menu; on a phone the menu comes out as a drawer. */
export function Header({ data }: Props) {
  const { shop, base, menu, url } = data;
  const href = useHref();
  const head = heads[shop.look.header];
  const drawer = useRef<HTMLDialogElement>(null);
  // Another page was shown without loading it: the drawer that led there is done.
  useEffect(() => drawer.current?.close(), [url]);
  return (
    <header className="border-b border-line bg-paper">
      {menu.top.length > 0 && (
        <nav aria-label={say('frame.aboveHead')} className="border-b border-line bg-mist max-md:hidden">
          <ul className="mx-auto flex max-w-7xl flex-wrap justify-end gap-x-5 px-4 py-1.5 text-xs text-ink-soft lg:px-8">
            {menu.top.map((item, i) => (
              <li key={i}>
                {item.url === null ? (
                  item.label
                ) : (
                  <a href={href(item.url)} className="underline-offset-4 hover:text-ink hover:underline">
                    {item.label}
                  </a>
                )}
              </li>
            ))}
          </ul>
        </nav>
      )}
      <div
        className={`mx-auto flex max-w-7xl items-center gap-x-6 gap-y-3 px-4 py-4 max-lg:flex-wrap lg:px-8 ${head.box}`}
      >
        {menu.items.length + menu.top.length > 0 && (
          <button
            type="button"
            aria-label={say('frame.menu')}
            onClick={() => drawer.current?.showModal()}
            className="-ml-2 flex size-10 items-center justify-center rounded-full text-ink hover:bg-mist md:hidden"
          >
            <Menu size={22} aria-hidden="true" />
          </button>
        )}
        <a href={`${base}/`} className={`shrink-0 font-display text-xl font-bold tracking-tight text-ink ${head.name}`}>
          <ShopSign shop={shop} />
        </a>
        <nav
          aria-label={say('frame.shop')}
          className={`min-w-0 max-lg:order-last max-lg:w-full max-md:hidden ${head.menu}`}
        >
          <WideMenu items={menu.items} here={url} />
        </nav>
        <SearchBox
          base={base}
          initial={data.page.kind === 'listing' ? (data.page.q ?? '') : ''}
          className={`max-sm:order-last max-sm:basis-full ${head.search}`}
        />
        <LanguageSwitch languages={data.languages} />
        <BasketLink />
      </div>
      {/* Escape closes a dialog by itself. */}
      {/* eslint-disable-next-line jsx-a11y/click-events-have-key-events */}
      <dialog
        ref={drawer}
        aria-label={say('frame.menu')}
        onClick={(event) => event.target === drawer.current && drawer.current.close()}
        className="m-0 h-dvh max-h-none w-[min(22rem,88vw)] max-w-none bg-paper p-0 backdrop:bg-black/40 md:hidden"
      >
        <div className="flex items-center justify-between border-b border-line px-4 py-3">
          <span className="font-display text-lg font-bold text-ink">
            <ShopSign shop={shop} />
          </span>
          <CloseButton label={say('frame.closeMenu')} close={() => drawer.current?.close()} />
        </div>
        <nav aria-label={say('frame.shopAllLevels')} className="px-4 pb-8">
          <PhoneMenu items={[...menu.items, ...menu.top]} here={url} />
          <LanguageSwitch languages={data.languages} isList />
        </nav>
      </dialog>
    </header>
  );
}
