import { documentChange } from '../../core/publishing/difference';
import type { KeepRule } from '../../core/publishing/thinning';
import { faceUrl } from '../../core/storefront/card';
import type { PlannedEdition } from '../../contract/publishing';
import { serialise } from '../database/stored-form';
import type { Catalog } from '../state/catalog';
import { shopOfEdition } from '../state/edition-shop';
import { refOf, splitRef } from '../state/working';
import { listEditions, readEditionChanges, readKeepRule, type DocumentKey, type EditionRow } from '../store/editions';
import { readPlanned, readPlannedDocuments, type PlannedRow } from '../store/planned';

/** Editions that are told. */
const TOLD = 200;

/** The name of what a ref speaks of, as it is called now, or was when it was live. */
export function titleOf({ working, live }: Catalog, { kind, key }: DocumentKey): string {
  const change = documentChange(live.shop, working.shop, kind, key);
  return change?.title ?? key;
}

/** Documents of a planned edition that are another in the working copy by now. */
function touchedSince(catalog: Catalog, planned: PlannedRow): DocumentKey[] {
  return readPlannedDocuments(catalog.db, planned.id).flatMap(({ kind, key, body }) => {
    const then = body && serialise({ kind, key, body } as Parameters<typeof serialise>[0]).hash;
    return catalog.working.hash(refOf(kind, key)) === then ? [] : [{ kind, key }];
  });
}

export function plannedView(catalog: Catalog, planned: PlannedRow): PlannedEdition {
  const { id, at, label, note, madeAt, userName } = planned;
  return {
    id,
    at,
    label,
    note,
    madeAt,
    userName,
    documents: readPlannedDocuments(catalog.db, id).length,
    touched: touchedSince(catalog, planned).map((each) => ({ ...each, title: titleOf(catalog, each) })),
  };
}

/** Editions that go live by themselves, the next one first. */
export const plannedEditions = (catalog: Catalog): PlannedEdition[] =>
  readPlanned(catalog.db).map((planned) => plannedView(catalog, planned));

export function editionsView(catalog: Catalog): {
  editions: EditionRow[];
  planned: PlannedEdition[];
  keep: KeepRule | null;
} {
  return {
    editions: listEditions(catalog.db, TOLD),
    planned: plannedEditions(catalog),
    keep: readKeepRule(catalog.db),
  };
}

/** Differences between two editions that are told; the rest are counted only. */
const COMPARED = 500;

/** What shoppers would notice between two editions, in the words of the review. O(what differs from the live one). */
export function compareEditions(catalog: Catalog, from: number, to: number) {
  const shops = [shopOfEdition(catalog, String(from)), shopOfEdition(catalog, String(to))] as const;
  const refs = new Set(
    [from, to].flatMap((number) => readEditionChanges(catalog.db, number).map(({ kind, key }) => refOf(kind, key))),
  );
  const all = [...refs].flatMap((ref) => {
    const { kind, key } = splitRef(ref);
    const change = documentChange(shops[0], shops[1], kind, key);
    return change && (change.what !== 'changed' || change.fields.length > 0) ? [change] : [];
  });
  const thumbnail = (id: string) => faceUrl(shops[1].products.get(id) ?? shops[0].products.get(id));
  return {
    total: all.length,
    changes: all
      .slice(0, COMPARED)
      .map((change) => ({ ...change, thumbnail: change.kind === 'product' ? thumbnail(change.key) : null })),
  };
}
