import { heldWith, type ChangedDocument } from '../../core/publishing/holding';
import { readLatestBody } from '../store/editions';
import { readHeld } from '../store/held';
import { readPlannedRefs } from '../store/planned';
import type { Db } from '../database/connection';
import { splitRef, type WorkingCatalog } from './working';

/** Why a change stays out of the next edition: kept back by hand, part of a planned edition, or waiting for another change. */
export type HeldBack = { by: 'hand' } | { by: 'planned'; id: string } | { by: 'waits'; for: string };

const NONE: ReadonlyMap<string, HeldBack> = new Map();

/** Refs of the changes that stay out of the next edition. O(size of what changed) where there are any; nothing otherwise. */
export function heldBack({ db, working }: { db: Db; working: WorkingCatalog }): ReadonlyMap<string, HeldBack> {
  const planned = readPlannedRefs(db);
  const held = readHeld(db);
  const chosen = new Set([...held, ...planned.keys()]);
  if (![...chosen].some((ref) => working.changed.has(ref))) return NONE;
  const changed = Array.from(working.changed, (ref): ChangedDocument => {
    const { kind, key } = splitRef(ref);
    return { ref, kind, key, live: readLatestBody(db, { kind, key }), work: working.document(ref)?.body };
  });
  const all = new Map<string, HeldBack>();
  for (const [ref, because] of heldWith(changed, chosen)) {
    const id = planned.get(ref);
    if (because !== null) all.set(ref, { by: 'waits', for: because });
    else all.set(ref, id === undefined ? { by: 'hand' } : { by: 'planned', id });
  }
  return all;
}
