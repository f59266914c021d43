import { backupRoutes } from './backups';
import { basketRoutes } from './basket';
import { elsewhereRoutes } from './elsewhere';
import { engineRoutes } from './engines';
import { exchangeRoutes } from './exchange';
import { languageRoutes } from './languages';
import { looseEndRoutes } from './loose-ends';
import { offerRoutes } from './offers';
import { orderRoutes } from './orders';
import { peopleRoutes } from './people';
import { publishingRoutes } from './publishing';
import { searchedRoutes } from './searched';
import { makerRoutes } from './maker';
import { supplierRoutes } from './suppliers';
import { todayRoutes } from './today';
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
  languages: languageRoutes,
  engines: engineRoutes,
  searched: searchedRoutes,
  looseEnds: looseEndRoutes,
  today: todayRoutes,
  publishing: publishingRoutes,
  people: peopleRoutes,
  suppliers: supplierRoutes,
  maker: makerRoutes,
};
