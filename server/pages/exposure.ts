import type { exposureRoutes } from '../../contract/exposure';
import type { AnswerOf } from '../../contract/route';
import { firstSeenAt } from '../../core/exposure/place-names';
import type { VisitModel } from '../../core/model/visit-model';
import type { Catalog } from '../state/catalog';
import { exposure, visitModel } from '../state/exposure';
import { productOrRefuse, type UserId } from '../state/product-or-refuse';
import { writeVisitModel } from '../store/visit-model';

/** Days over which what was sold is set beside what was seen. */
const SOLD_DAYS = 90;

const share = (chance: number) => Math.round(chance * 10_000);

/** How often visits see the goods of the working copy, and come to its pages. */
export function exposureOverview(catalog: Catalog): AnswerOf<typeof exposureRoutes.overview> {
  const { shop } = catalog.working;
  const { places, exposures, shares } = exposure(catalog);
  return {
    model: visitModel(catalog),
    goods: shop.listed.toArray().map((slot) => {
      const { id, title, margin, sold } = shop.facts(shop.index.id(slot))!;
      return {
        id,
        title,
        share: shares[slot]!,
        margin: Number.isFinite(margin) ? margin : null,
        sold: sold[SOLD_DAYS] ?? 0,
      };
    }),
    places: places.flatMap((place, i) =>
      'page' in place && place.page === 1
        ? [{ kind: place.kind, id: place.id, share: share(exposures.reached[i]!) }]
        : [],
    ),
  };
}

/** How often visits see one product, and where first. */
export function exposureOfProduct(catalog: Catalog, id: string): AnswerOf<typeof exposureRoutes.ofProduct> {
  const { shop } = catalog.working;
  const slot = shop.index.slot(productOrRefuse(catalog, id).id)!;
  const { places, exposures, shares } = exposure(catalog);
  return {
    share: shares[slot]!,
    first: firstSeenAt(shop, places, exposures, slot).map(({ name, chance }) => ({ name, share: share(chance) })),
  };
}

export function changeVisitModel(catalog: Catalog, user: UserId, model: VisitModel): VisitModel {
  catalog.journal.change({ did: 'visitModelChanged' }, catalog.actor(user), () => writeVisitModel(catalog.db, model));
  return model;
}
