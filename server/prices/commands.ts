import { newOffer, offerSchema, offerWords, type Offer } from '../../core/model/offer';
import { plainCode } from '../../core/model/basket';
import type { BodyOf } from '../../contract/route';
import type { offerRoutes } from '../../contract/offers';
import { parse } from '../http/answer';
import { freshCode } from '../shared/fresh-code';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { mergedFields } from '../state/merged-fields';
import { addCode, deleteCodes, deleteOffer, putOffer } from '../store/offers';

export function offerOrRefuse({ working }: Catalog, id: string): Offer {
  const offer = working.shop.offers.get(id);
  if (!offer) throw notFound(refusals.noSuchOffer);
  return offer;
}

/** An offer with some of it changed, checked as a whole. Throws what does not fit, at its field. */
export const changedOffer = (offer: Offer, fields: Partial<Offer>): Offer =>
  parse<typeof offerSchema>(offerSchema, { ...offer, ...fields });

/** Makes an offer, off until it is switched on; like another where `like` names one. */
export function makeOffer(catalog: Catalog, user: string, { name, like }: BodyOf<typeof offerRoutes.addOffer>): string {
  const id = newId('offer');
  const base = like === undefined ? newOffer(id, name) : { ...offerOrRefuse(catalog, like), id, name, isOn: false };
  catalog.journal.change({ did: 'offerAdded', name }, catalog.actor(user), () => putOffer(catalog.db, base));
  return id;
}

/** Changes some of an offer; refuses where somebody else changed the same meanwhile. */
export function changeOffer(
  catalog: Catalog,
  user: string,
  id: string,
  { was, ...fields }: BodyOf<typeof offerRoutes.changeOffer>,
): Offer {
  const before = offerOrRefuse(catalog, id);
  const offer = changedOffer(before, mergedFields(before, fields, was, offerWords));
  catalog.journal.change({ did: 'offerChanged', name: offer.name }, catalog.actor(user), () =>
    putOffer(catalog.db, offer),
  );
  return offer;
}

export function removeOffer(catalog: Catalog, user: string, id: string): void {
  const { name } = offerOrRefuse(catalog, id);
  catalog.journal.change({ did: 'offerDeleted', name }, catalog.actor(user), () => deleteOffer(catalog.db, id));
}

/** Makes one code that the seller chose, or many that are easy to read. Answers them. */
export function makeCodes(
  catalog: Catalog,
  user: string,
  id: string,
  wanted: BodyOf<typeof offerRoutes.addCodes>,
): string[] {
  const { db } = catalog;
  const { name } = offerOrRefuse(catalog, id);
  const row = {
    offerId: id,
    uses: wanted.uses,
    note: wanted.note.trim(),
    created: new Date(catalog.now * 1_000).toISOString(),
  };
  const codes: string[] = [];
  const count = 'count' in wanted ? wanted.count : 1;
  catalog.journal.change({ did: 'codesAdded', name, count }, catalog.actor(user), () => {
    if ('count' in wanted) {
      while (codes.length < wanted.count) codes.push(freshCode((code) => addCode(db, { ...row, code })));
      return;
    }
    const code = plainCode(wanted.code);
    if (!/^[\p{L}\p{N}]{3,30}$/u.test(code)) throw invalidField(['code'], refusals.codeLetters);
    if (!addCode(db, { ...row, code })) throw invalidField(['code'], refusals.codeTaken(code));
    codes.push(code);
  });
  return codes;
}

export function removeCodes(catalog: Catalog, user: string, id: string, codes: readonly string[]): void {
  const { name } = offerOrRefuse(catalog, id);
  catalog.journal.change({ did: 'codesDeleted', name, count: codes.length }, catalog.actor(user), () =>
    deleteCodes(catalog.db, id, codes),
  );
}
