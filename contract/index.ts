import { basketRoutes } from './basket';
import { bulkRoutes } from './bulk';
import { deskRoutes } from './desk';
import { exposureRoutes } from './exposure';
import { goodsRoutes } from './goods';
import { groupRoutes } from './groups';
import { historyRoutes } from './history';
import { optionListRoutes, specSheetRoutes } from './lists';
import { letterRoutes } from './letters';
import { offerRoutes } from './offers';
import { orderRoutes } from './orders';
import { ruleRoutes } from './rules';
import { sheetRoutes } from './sheet';
import { shopRoutes } from './shop';
import { setUpRoutes } from './set-up';
import { stockRoutes } from './stock';
import { shopfrontRoutes } from './shopfront';
import { viewRoutes } from './views';
import { whyFoundRoutes } from './why-found';

/** Every call of the HTTP API. The server answers these, the desk calls them, OpenAPI is made from them. */
export const routes = {
  desk: deskRoutes,
  goods: goodsRoutes,
  specSheets: specSheetRoutes,
  optionLists: optionListRoutes,
  stock: stockRoutes,
  groups: groupRoutes,
  rules: ruleRoutes,
  shopfront: shopfrontRoutes,
  exposure: exposureRoutes,
  bulk: bulkRoutes,
  history: historyRoutes,
  views: viewRoutes,
  sheet: sheetRoutes,
  setUp: setUpRoutes,
  letters: letterRoutes,
  offers: offerRoutes,
  orders: orderRoutes,
  basket: basketRoutes,
  whyFound: whyFoundRoutes,
  shop: shopRoutes,
};
