import { hydrateRoot } from 'react-dom/client';
import type { ShopData } from './data';
import { loadCatalog } from './catalogs';
import { loadParts } from './load-parts';
import { ShopApp } from './shop-app';
import { speak } from './tongue';
import './shop.css';

const data = JSON.parse(document.getElementById('shop-data')!.textContent) as ShopData;
const { locale, words } = data.shop;
const [catalog] = await Promise.all([loadCatalog(locale), loadParts(data.page)]);
speak(locale, catalog, words, data.isPreview ? '' : data.base);
hydrateRoot(document.getElementById('shop')!, <ShopApp initial={data} />);
