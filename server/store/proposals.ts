import type { ProposalBody, ProposalState } from '../../core/model/proposal';
import type { Db } from '../database/connection';

/** What a maker proposed. */
export interface ProposalRecord {
  id: string;
  supplierId: string;
  userId: string;
  userName: string;
  /** null for a new product */
  productId: string | null;
  body: ProposalBody;
  note: string;
  state: ProposalState;
  /** what the maker was told */
  reply: string;
  madeAt: string;
  answeredAt: string | null;
}

interface Stored extends Omit<ProposalRecord, 'body'> {
  body: string;
}

const select = `SELECT proposal.id, supplier_id AS supplierId, user_id AS userId, user.name AS userName,
    product_id AS productId, body, note, state, reply, made_at AS madeAt, answered_at AS answeredAt
  FROM proposal JOIN user ON user.id = user_id`;

const read = (row: Stored): ProposalRecord => ({ ...row, body: JSON.parse(row.body) as ProposalBody });

/** What waits for an answer, the oldest first. */
export const readWaiting = (db: Db): ProposalRecord[] =>
  (db.prepare(`${select} WHERE state = 'waiting' ORDER BY made_at, proposal.id`).all() as Stored[]).map(read);

/** What was answered last, the latest first. */
export const readAnswered = (db: Db, limit: number): ProposalRecord[] =>
  (
    db.prepare(`${select} WHERE state IN ('taken', 'refused') ORDER BY answered_at DESC LIMIT ?`).all(limit) as Stored[]
  ).map(read);

/** What one person proposed, the latest first. */
export const readProposalsOf = (db: Db, userId: string, limit: number): ProposalRecord[] =>
  (db.prepare(`${select} WHERE user_id = ? ORDER BY made_at DESC LIMIT ?`).all(userId, limit) as Stored[]).map(read);

export function readProposal(db: Db, id: string): ProposalRecord | undefined {
  const row = db.prepare(`${select} WHERE proposal.id = ?`).get(id) as Stored | undefined;
  return row && read(row);
}

export const countWaiting = (db: Db): number =>
  db.prepare(`SELECT count(*) FROM proposal WHERE state = 'waiting'`).pluck().get() as number;

/** Keeps a proposal in place of the one of its id. */
export function putProposal(db: Db, proposal: Omit<ProposalRecord, 'userName'> & { answeredBy: string | null }): void {
  db.prepare(
    `INSERT INTO proposal
       (id, supplier_id, user_id, product_id, body, note, state, reply, made_at, answered_at, answered_by)
     VALUES (@id, @supplierId, @userId, @productId, @body, @note, @state, @reply, @madeAt, @answeredAt, @answeredBy)
     ON CONFLICT (id) DO UPDATE SET body = excluded.body, note = excluded.note, state = excluded.state,
       product_id = excluded.product_id, reply = excluded.reply, made_at = excluded.made_at,
       answered_at = excluded.answered_at, answered_by = excluded.answered_by`,
  ).run({ ...proposal, body: JSON.stringify(proposal.body) });
}
