import type { CostFrom, Supplier, Supply } from '../../core/model/supplier';
import { newSupplier } from '../../core/model/supplier';
import type { Db } from '../database/connection';
import { deleteBody, putBody, readBodies } from './json-bodies';

/** All suppliers of whom more than a name is known, in the order in which they were added. */
export const readSuppliers = (db: Db): Supplier[] =>
  readBodies<Supplier>(db, 'supplier').map((supplier) => ({ ...newSupplier(supplier.id, ''), ...supplier }));

export const putSupplier = (db: Db, supplier: Supplier): void => putBody(db, 'supplier', supplier);

/** Deletes a supplier with what it has of goods. */
export function deleteSupplier(db: Db, id: string): void {
  db.prepare(`DELETE FROM supply WHERE supplier_id = ?`).run(id);
  deleteBody(db, 'supplier', id);
}

/** What a supplier has of one variant. */
export interface SupplyRow extends Supply {
  supplierId: string;
  variantId: string;
}

interface StoredSupply {
  supplierId: string;
  variantId: string;
  number: string;
  costs: string;
}

const columns = `supplier_id AS supplierId, variant_id AS variantId, number, costs`;
const read = ({ costs, ...row }: StoredSupply): SupplyRow => ({ ...row, costs: JSON.parse(costs) as CostFrom[] });

/** What suppliers have of variants: one of them, or all. */
export const readSupplies = (db: Db, supplierId?: string): SupplyRow[] =>
  (
    db
      .prepare(`SELECT ${columns} FROM supply WHERE @supplierId IS NULL OR supplier_id = @supplierId`)
      .all({ supplierId: supplierId ?? null }) as StoredSupply[]
  ).map(read);

export function putSupply(db: Db, { supplierId, variantId, number, costs }: SupplyRow): void {
  db.prepare(
    `INSERT INTO supply (supplier_id, variant_id, number, costs) VALUES (?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET number = excluded.number, costs = excluded.costs`,
  ).run(supplierId, variantId, number, JSON.stringify(costs));
}

export function deleteSupply(db: Db, supplierId: string, variantId: string): void {
  db.prepare(`DELETE FROM supply WHERE supplier_id = ? AND variant_id = ?`).run(supplierId, variantId);
}

/** The day (YYYY-MM-DD) up to which costs that were agreed came into force; undefined where that was never looked at. */
export const readCostsDay = (db: Db): string | undefined =>
  db.prepare(`SELECT day FROM costs_day`).pluck().get() as string | undefined;

export const writeCostsDay = (db: Db, day: string): void =>
  void db
    .prepare(`INSERT INTO costs_day (one, day) VALUES (1, ?) ON CONFLICT DO UPDATE SET day = excluded.day`)
    .run(day);
