import type { Db } from '../db';

/** The last version in which documents used other names than fields have now. */
export const OLD_NAMES = 12;

const renamed: Readonly<Record<string, readonly [from: string, to: string][]>> = {
  product: [
    ['"standing":', '"status":'],
    ['"packageSort":', '"packageType":'],
    ['"leftOut":', '"excludedCombinations":'],
    ['"ground":', '"background":'],
    ['"field":"standing"', '"field":"status"'],
  ],
  category: [['"standing":', '"status":']],
  collection: [
    ['"standing":', '"status":'],
    ['"field":"standing"', '"field":"status"'],
  ],
};

/**
 * Gives what documents hold the names that fields have now. It comes before all other steps, since those read and write
 * documents as this version does. A quotation mark inside a text is escaped, so that only names are met.
 */
export function renameInDocuments(db: Db): void {
  for (const [kind, names] of Object.entries(renamed))
    for (const [from, to] of names)
      db.prepare(`UPDATE document SET body = replace(body, @from, @to) WHERE kind = @kind`).run({ kind, from, to });
}
