import { hydrateRoot } from 'react-dom/client';
import type { ShopData } from './data';
import { loadParts } from './load-parts';
import { ShopApp } from './shop-app';
import './shop.css';

const data = JSON.parse(document.getElementById('shop-data')!.textContent) as ShopData;
await loadParts(data.page);
hydrateRoot(document.getElementById('shop')!, <ShopApp initial={data} />);
