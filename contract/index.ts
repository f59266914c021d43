import { bulkRoutes } from './bulk';
import { deskRoutes } from './desk';
import { exposureRoutes } from './exposure';
import { goodsRoutes } from './goods';
import { groupRoutes } from './groups';
import { historyRoutes } from './history';
import { optionListRoutes, specSheetRoutes } from './lists';
import { letterRoutes } from './letters';
import { ruleRoutes } from './rules';
import { sheetRoutes } from './sheet';
import { shopRoutes } from './shop';
import { setUpRoutes } from './set-up';
import { stockRoutes } from './stock';
import { shopfrontRoutes } from './shopfront';
import { viewRoutes } from './views';
import { whyFoundRoutes } from './why-found';

/**
 * The calls of the HTTP API that the desk needs from the start; all-routes.ts has those that come with what calls them too. The
 * server answers these, the desk calls them, OpenAPI is made from them.
 */
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
  whyFound: whyFoundRoutes,
  shop: shopRoutes,
};
