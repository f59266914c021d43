import { hydrateRoot } from 'react-dom/client';
import type { ShopData } from './data';
import { ShopApp } from './shop-app';
import './shop.css';

const data = JSON.parse(document.getElementById('shop-data')!.textContent) as ShopData;
hydrateRoot(document.getElementById('shop')!, <ShopApp initial={data} />);
