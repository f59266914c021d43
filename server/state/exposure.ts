import { visitModelSchema, usualVisits, type VisitModel } from '../../core/model/visit-model';
import { exposuresOf, type Exposures } from '../../core/exposure/exposure';
import { shopVisits, type ShopVisits } from '../../core/exposure/shop-visits';
import { readVisitModel } from '../store/visit-model';
import type { Catalog } from './catalog';

interface Known extends ShopVisits {
  version: number;
  model: string;
  exposures: Exposures;
  /** by slot, in hundredths of a percent of visits */
  shares: Float64Array;
}

const known = new WeakMap<Catalog, Known>();

/** What the seller takes for true of a visit. */
export function visitModel(catalog: Catalog): VisitModel {
  const stored = visitModelSchema.safeParse(readVisitModel(catalog.db));
  return stored.success ? stored.data : usualVisits;
}

/** How often visits see the goods of the working copy, worked out once for each state of it. */
export function exposure(catalog: Catalog): Known {
  const { shop } = catalog.working;
  const visits = visitModel(catalog);
  const model = JSON.stringify(visits);
  const before = known.get(catalog);
  if (before?.version === shop.version && before.model === model) return before;
  const { graph, places } = shopVisits(shop, visits);
  const exposures = exposuresOf(graph);
  const shares = exposures.products.map((chance) => Math.round(chance * 10_000));
  const made = { version: shop.version, model, graph, places, exposures, shares };
  known.set(catalog, made);
  return made;
}
