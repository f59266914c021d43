import type Database from 'better-sqlite3';
import type { Db } from './connection';

const known = new WeakMap<Db, Map<string, Database.Statement>>();

/** `prepare` for statements that come again and again: each is compiled once a connection. Only for a fixed text. */
export function statement(db: Db, sql: string): Database.Statement {
  let statements = known.get(db);
  if (!statements) known.set(db, (statements = new Map()));
  let prepared = statements.get(sql);
  if (!prepared) statements.set(sql, (prepared = db.prepare(sql)));
  return prepared;
}
