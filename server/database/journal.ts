import type { Db } from './connection';
import { statement } from './statements';
import { columnsOf, journaledTables, rowJson, type TableColumns } from './journal-triggers';

export interface Actor {
  userId: string | null;
  /** ISO instant of the write */
  at: string;
}

export interface ChangeResult<T> {
  value: T;
  /** id of the change; the revision of everything it touched. Undefined when nothing was written. */
  changeId: number | undefined;
  /** what was touched, such as product:p_1 */
  subjects: string[];
}

export interface ChangeRow {
  id: number;
  at: string;
  userName: string | null;
  label: string;
  kind: 'edit' | 'undo' | 'redo';
  undone: boolean;
}

export interface JournalRow {
  tableName: string;
  rowKey: string;
  before: Record<string, unknown> | null;
  after: Record<string, unknown> | null;
}

/** Undo or redo is not possible, for a reason in plain words. */
export class CannotUndoError extends Error {
  constructor(
    message: string,
    /** later changes of the same rows */
    readonly because: { id: number; label: string }[] = [],
  ) {
    super(message);
  }
}

/** One row on the way back: as it is expected to be, and as it is to become. */
interface Step {
  tableName: string;
  rowKey: string;
  /** values of its key columns */
  key: unknown[];
  from: string | null;
  to: string | null;
}

/** Told how far a long change is; may throw to stop it. */
type Watch = (done: number, total: number) => void;
const WATCHED_EVERY = 500;

type Listener = (result: { changeId: number; subjects: string[] }) => void;

/** The one way to write to the working catalog, and the way back. */
export class Journal {
  readonly #columns = new Map<string, TableColumns>();
  readonly #listeners: Listener[] = [];

  constructor(readonly db: Db) {
    for (const { name } of journaledTables) this.#columns.set(name, columnsOf(db, name));
  }

  /** Called after each commit that touched something. */
  onChange(listener: Listener): void {
    this.#listeners.push(listener);
  }

  /**
   * Runs `write` in one transaction and records what it touched as one change. An exception leaves nothing behind. A label
   * that depends on what was written is asked for afterwards.
   */
  change<T>(label: string | (() => string), actor: Actor, write: () => T): ChangeResult<T> {
    return this.#commit({ label, kind: 'edit', of: null }, actor, write);
  }

  /** Takes back the person's latest change that still stands. */
  undo(actor: Actor): ChangeResult<ChangeRow> {
    return this.#reverse(this.nextUndo(actor.userId), 'undo', actor);
  }

  /** Does again what the person undid last, unless they have changed something since. */
  redo(actor: Actor): ChangeResult<ChangeRow> {
    return this.#reverse(this.nextRedo(actor.userId), 'redo', actor);
  }

  /** Takes back one change, whoever made it and whatever came after: refused where the same rows were touched again. */
  undoOne(id: number, actor: Actor, watch?: Watch): ChangeResult<ChangeRow> {
    const target = this.db.prepare(`SELECT kind, undone FROM change WHERE id = ?`).get(id) as
      { kind: ChangeRow['kind']; undone: number } | undefined;
    if (!target) throw new CannotUndoError('There is no such change.');
    if (target.kind !== 'edit') throw new CannotUndoError('This took a change back; take up that change instead.');
    return this.#reverse(id, target.undone === 1 ? 'redo' : 'undo', actor, watch);
  }

  /** One change; undefined when there is none of this id. */
  one(id: number): ChangeRow | undefined {
    return this.#rows(`change.id = @id`, { id, limit: 1 })[0];
  }

  /** How many rows a change touched. */
  sizeOf(changeId: number): number {
    return this.db.prepare(`SELECT count(*) FROM journal WHERE change_id = ?`).pluck().get(changeId) as number;
  }

  /** The change that undo would take back. */
  nextUndo(userId: string | null): number {
    const target = this.db
      .prepare(
        `SELECT id FROM change WHERE kind = 'edit' AND undone = 0 AND user_id IS ?
         ORDER BY id DESC LIMIT 1`,
      )
      .get(userId) as { id: number } | undefined;
    if (!target) throw new CannotUndoError('There is nothing to undo.');
    return target.id;
  }

  /** The change that redo would do again. */
  nextRedo(userId: string | null): number {
    const target = this.db
      .prepare(
        `SELECT target.id FROM change AS target JOIN change AS undo ON undo.of_change = target.id AND undo.kind = 'undo'
         WHERE target.undone = 1 AND target.user_id IS @user
           AND undo.id > (SELECT coalesce(max(id), 0) FROM change WHERE kind = 'edit' AND user_id IS @user)
         ORDER BY undo.id DESC LIMIT 1`,
      )
      .get({ user: userId }) as { id: number } | undefined;
    if (!target) throw new CannotUndoError('There is nothing to redo.');
    return target.id;
  }

  /** The latest changes, newest first; of one subject when told. */
  history(limit: number, subject?: string): ChangeRow[] {
    return subject === undefined
      ? this.#rows(`1`, { limit })
      : this.#rows(`change.id IN (SELECT change_id FROM journal WHERE subject = @subject)`, { limit, subject });
  }

  /** Changes before one of them, newest first: for reading further back. */
  historyBefore(id: number, limit: number): ChangeRow[] {
    return this.#rows(`change.id < @id`, { id, limit });
  }

  #rows(where: string, values: { limit: number; id?: number; subject?: string }): ChangeRow[] {
    const rows = this.db
      .prepare(
        `SELECT change.id, change.at, user.name AS userName, change.label, change.kind, change.undone
         FROM change LEFT JOIN user ON user.id = change.user_id
         WHERE ${where} ORDER BY change.id DESC LIMIT @limit`,
      )
      .all(values) as (Omit<ChangeRow, 'undone'> & { undone: number })[];
    return rows.map((row) => ({ ...row, undone: row.undone === 1 }));
  }

  /** What a change did to the rows of a subject, or to all; the first ones where not all are wanted. */
  rowsOf(changeId: number, subject?: string, most = -1): JournalRow[] {
    const rows = this.db
      .prepare(
        `SELECT table_name AS tableName, row_key AS rowKey, before, after FROM journal
         WHERE change_id = @changeId AND (@subject IS NULL OR subject = @subject) ORDER BY seq LIMIT @most`,
      )
      .all({ changeId, subject: subject ?? null, most }) as {
      tableName: string;
      rowKey: string;
      before: string | null;
      after: string | null;
    }[];
    return rows.map((row) => ({ ...row, before: parsed(row.before), after: parsed(row.after) }));
  }

  /** The latest change of all; 0 before the first. */
  get latest(): number {
    return (this.db.prepare(`SELECT max(id) FROM change`).pluck().get() as number | null) ?? 0;
  }

  /** The latest change that touched a subject; 0 when none did. */
  revision(subject: string): number {
    const row = this.db.prepare(`SELECT max(change_id) AS id FROM journal WHERE subject = ?`).get(subject) as {
      id: number | null;
    };
    return row.id ?? 0;
  }

  /** Which columns of a row, or of all rows of a table that belong to the subject, changed after `seen`. */
  columnsChangedSince(seen: number, subject: string, tableName: string, rowKey?: string): Set<string> {
    const rows = this.db
      .prepare(
        `SELECT before, after FROM journal
         WHERE subject = @subject AND change_id > @seen AND table_name = @tableName AND (@rowKey IS NULL OR row_key = @rowKey)`,
      )
      .all({ subject, seen, tableName, rowKey: rowKey ?? null }) as { before: string | null; after: string | null }[];
    const changed = new Set<string>();
    for (const row of rows) {
      const [before, after] = [parsed(row.before) ?? {}, parsed(row.after) ?? {}];
      for (const column of new Set([...Object.keys(before), ...Object.keys(after)]))
        if (before[column] !== after[column]) changed.add(column);
    }
    return changed;
  }

  #commit<T>(
    change: { label: string | (() => string); kind: ChangeRow['kind']; of: number | null },
    actor: Actor,
    write: () => T,
  ): ChangeResult<T> {
    const { db } = this;
    const { label } = change;
    const result = db
      .transaction((): ChangeResult<T> => {
        const changeId = Number(
          db
            .prepare(`INSERT INTO change (at, user_id, label, kind, of_change) VALUES (?, ?, ?, ?, ?)`)
            .run(actor.at, actor.userId, typeof label === 'string' ? label : '', change.kind, change.of)
            .lastInsertRowid,
        );
        db.prepare(`INSERT INTO current_change (id) VALUES (?)`).run(changeId);
        const value = write();
        db.prepare(`DELETE FROM current_change`).run();
        if (typeof label !== 'string') db.prepare(`UPDATE change SET label = ? WHERE id = ?`).run(label(), changeId);
        const subjects = db
          .prepare(`SELECT DISTINCT subject FROM journal WHERE change_id = ?`)
          .pluck()
          .all(changeId) as string[];
        if (subjects.length > 0) return { value, changeId, subjects };
        db.prepare(`DELETE FROM change WHERE id = ?`).run(changeId);
        return { value, changeId: undefined, subjects };
      })
      .immediate();
    const { changeId, subjects } = result;
    if (changeId !== undefined) for (const listener of this.#listeners) listener({ changeId, subjects });
    return result;
  }

  #reverse(targetId: number, kind: 'undo' | 'redo', actor: Actor, watch?: Watch): ChangeResult<ChangeRow> {
    const target = this.db.prepare(`SELECT label FROM change WHERE id = ?`).get(targetId) as { label: string };
    return this.#commit({ label: target.label, kind, of: targetId }, actor, () => {
      this.db.pragma('defer_foreign_keys = ON');
      const steps = this.#stepsOf(targetId, kind);
      this.#refuseLaterChanges(targetId, kind, steps);
      steps.forEach((step, i) => {
        if (i % WATCHED_EVERY === 0) watch?.(i, steps.length);
        this.#take(step);
      });
      this.db.prepare(`UPDATE change SET undone = ? WHERE id = ?`).run(kind === 'undo' ? 1 : 0, targetId);
      return this.history(1)[0]!;
    });
  }

  /** What taking a change back, or doing it again, does to each row, in order. */
  #stepsOf(targetId: number, kind: 'undo' | 'redo'): Step[] {
    const rows = this.db
      .prepare(
        `SELECT table_name AS tableName, row_key AS rowKey, before, after FROM journal WHERE change_id = ?
         ORDER BY seq ${kind === 'undo' ? 'DESC' : 'ASC'}`,
      )
      .all(targetId) as { tableName: string; rowKey: string; before: string | null; after: string | null }[];
    return rows.map(({ tableName, rowKey, before, after }) => ({
      tableName,
      rowKey,
      key: JSON.parse(rowKey) as unknown[],
      from: kind === 'undo' ? after : before,
      to: kind === 'undo' ? before : after,
    }));
  }

  /** Every row must still be as the change left it; else the later changes of those rows are named. */
  #refuseLaterChanges(targetId: number, kind: 'undo' | 'redo', steps: readonly Step[]): void {
    const first = new Map<string, Step>();
    for (const step of steps) {
      const key = `${step.tableName} ${step.rowKey}`;
      if (!first.has(key)) first.set(key, step);
    }
    const touched = [...first.values()].filter((step) => {
      const now = this.#readRow(step);
      // The text differs too where the table has got a column since; then the rows themselves are compared.
      return now !== step.from && JSON.stringify(parsed(now)) !== JSON.stringify(parsed(step.from));
    });
    if (touched.length === 0) return;
    const later = this.db.prepare(
      `SELECT DISTINCT change.id, change.label FROM journal JOIN change ON change.id = journal.change_id
       WHERE journal.table_name = ? AND journal.row_key = ? AND change.id > ? AND change.undone = 0 AND change.kind <> 'undo'`,
    );
    const because = new Map<number, string>();
    for (const step of touched)
      for (const row of later.all(step.tableName, step.rowKey, targetId) as { id: number; label: string }[])
        because.set(row.id, row.label);
    throw new CannotUndoError(
      kind === 'undo'
        ? 'This cannot be undone by itself: the same things were changed again later.'
        : 'This cannot be done again: the same things were changed in the meantime.',
      [...because].map(([id, label]) => ({ id, label })),
    );
  }

  #where(table: string): string {
    return this.#columns
      .get(table)!
      .key.map((name) => `${name} IS ?`)
      .join(' AND ');
  }

  /** The row as the journal would tell it now; null when it is not there. */
  #readRow({ tableName, key }: Step): string | null {
    const json = rowJson(this.#columns.get(tableName)!, tableName);
    const sql = `SELECT ${json} FROM ${tableName} WHERE ${this.#where(tableName)}`;
    return (statement(this.db, sql).pluck().get(key) as string | undefined) ?? null;
  }

  /** Makes one row what the step leads to. Of a row that stays, only what differs is written. */
  #take({ tableName, key, from, to }: Step): void {
    const { all } = this.#columns.get(tableName)!;
    const next = parsed(to);
    const before = parsed(from);
    if (!next) statement(this.db, `DELETE FROM ${tableName} WHERE ${this.#where(tableName)}`).run(key);
    else if (!before) {
      const marks = all.map(() => '?').join(', ');
      statement(this.db, `INSERT INTO ${tableName} (${all.join(', ')}) VALUES (${marks})`).run(
        all.map((name) => next[name] ?? null),
      );
    } else {
      const names = all.filter((name) => (before[name] ?? null) !== (next[name] ?? null));
      if (names.length === 0) return;
      const sets = names.map((name) => `${name} = ?`).join(', ');
      statement(this.db, `UPDATE ${tableName} SET ${sets} WHERE ${this.#where(tableName)}`).run(
        names.map((name) => next[name] ?? null),
        key,
      );
    }
  }
}

function parsed(json: string | null): Record<string, unknown> | null {
  return json === null ? null : (JSON.parse(json) as Record<string, unknown>);
}
