import type { Db } from '../database/connection';

export const readSkipped = (db: Db): Set<string> =>
  new Set(db.prepare(`SELECT step FROM set_up_skipped`).pluck().all() as string[]);

export function putSkipped(db: Db, step: string, isSkipped: boolean): void {
  db.prepare(
    isSkipped ? `INSERT OR IGNORE INTO set_up_skipped VALUES (?)` : `DELETE FROM set_up_skipped WHERE step = ?`,
  ).run(step);
}

/** Products that came as examples and still have the title that they came with: whoever gives one another makes it theirs. */
export const readExamples = (db: Db): Set<string> =>
  new Set(
    db
      .prepare(
        `SELECT product_id FROM example_product JOIN product ON product.id = product_id AND product.title = example_product.title`,
      )
      .pluck()
      .all() as string[],
  );

export const noteExample = (db: Db, id: string, title: string): void =>
  void db.prepare(`INSERT OR IGNORE INTO example_product VALUES (?, ?)`).run(id, title);
