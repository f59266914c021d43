import type { DocumentKind } from '../../core/model/document';
import { documentChange } from '../../core/publishing/difference';
import type { PlannedEdition } from '../../contract/publishing';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { shopOfEdition } from '../state/edition-shop';
import { changeOfDocument, type DocumentKey } from '../store/editions';
import { readPlanned } from '../store/planned';
import { plannedView, titleOf } from './queries';

export function planEdition(
  catalog: Catalog,
  { at, label, note }: { at: string; label: string; note: string },
  user: string,
): PlannedEdition {
  const moment = new Date(at).toISOString();
  if (moment <= catalog.clock().toISOString()) throw invalidField(['at'], refusals.momentHasPassed);
  const { put, gone } = catalog.nextEdition();
  if (put.length + gone.length === 0) throw invalidField(['at'], nothingToPutLive(catalog));
  const id = catalog.plan(moment, label, note, user);
  return plannedView(
    catalog,
    readPlanned(catalog.db).find((each) => each.id === id)!,
  );
}

/** Why there is nothing to put live. */
export const nothingToPutLive = ({ working }: Catalog): string =>
  working.changed.size === 0 ? refusals.nothingToPutLive : refusals.allIsHeld;

const subjectOf = (kind: DocumentKind, key: string) => `${kind}:${key}`;

/** Makes one thing in the working copy again what it is live, or what it was in an edition. Answers what it is called. */
export function takeBack(catalog: Catalog, { kind, key }: DocumentKey, user: string, edition?: number): string {
  const title =
    edition === undefined
      ? titleOf(catalog, { kind, key })
      : (documentChange(catalog.live.shop, shopOfEdition(catalog, String(edition)), kind, key)?.title ?? key);
  const changeId = changeOfDocument(catalog.db, { kind, key }, edition);
  if (changeId === undefined) throw invalidField(['key'], refusals.neverLive);
  if (changeId === null) throw invalidField(['key'], refusals.tooOldToTakeBack);
  const done =
    edition === undefined ? { did: 'takenBack' as const, title } : { did: 'broughtBack' as const, title, edition };
  const { changeId: made } = catalog.journal.takeBackTo(subjectOf(kind, key), changeId, done, catalog.actor(user));
  if (made === undefined)
    throw invalidField(['key'], edition === undefined ? refusals.noSuchChange : refusals.isSoAlready);
  return title;
}
