import { backupRoutes } from './backups';
import { basketRoutes } from './basket';
import { elsewhereRoutes } from './elsewhere';
import { exchangeRoutes } from './exchange';
import { offerRoutes } from './offers';
import { orderRoutes } from './orders';
import { routes } from './index';

/** Every call of the HTTP API. */
export const allRoutes = {
  ...routes,
  offers: offerRoutes,
  orders: orderRoutes,
  basket: basketRoutes,
  exchange: exchangeRoutes,
  backups: backupRoutes,
  elsewhere: elsewhereRoutes,
};
