import { doneWords, type Done } from '../../core/history/done';
import type { Db } from './connection';
import { statement } from './statements';
import { isSameRow } from './json-cells';
import { columnsOf, journaledTables, rowJson, type TableColumns } from './journal-triggers';
import { circleOf, isBroken, missingLinks, takenBy } from './what-stands-in-the-way';

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

const wordsOf = (done: string): string => doneWords(JSON.parse(done) as Done);

type Cells = Record<string, unknown>;

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

/** The table of what is counted, and never taken back with a product. */
const COUNTED = 'stock';

/** Rows of a change up to which it is asked whether it changed anything at all. */
const MOST_COMPARED = 1_000;

/** Ends a change that changed nothing: it is not kept. */
class NothingChanged extends Error {
  constructor(readonly value: unknown) {
    super('Nothing changed.');
  }
}

/** Runs the transaction; one that changed nothing leaves nothing behind, and is answered as such. */
function committed<T>(transaction: { immediate: () => ChangeResult<T> }): ChangeResult<T> {
  try {
    return transaction.immediate();
  } catch (error) {
    if (!(error instanceof NothingChanged)) throw error;
    return { value: error.value as T, changeId: undefined, subjects: [] };
  }
}

const cannot = { undo: 'This cannot be undone', redo: 'This cannot be done again' };

function known(id: number | undefined, word: 'undo' | 'redo'): number {
  if (id === undefined) throw new CannotUndoError(`There is nothing to ${word}.`);
  return id;
}

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
   * Runs `write` in one transaction and records what it touched as one change. An exception leaves nothing behind.
   */
  change<T>(done: Done, actor: Actor, write: () => T): ChangeResult<T> {
    return this.#commit({ done, kind: 'edit', of: null }, actor, write);
  }

  /** Takes back the person's latest change that still stands. */
  undo(actor: Actor): ChangeResult<ChangeRow> {
    return this.#reverse(known(this.nextUndo(actor.userId), 'undo'), 'undo', actor);
  }

  /** Does again what the person undid last, unless they have changed something since. */
  redo(actor: Actor): ChangeResult<ChangeRow> {
    return this.#reverse(known(this.nextRedo(actor.userId), 'redo'), 'redo', actor);
  }

  /** Takes back one change, whoever made it and whatever came after: refused where the same rows were touched again. */
  undoOne(id: number, actor: Actor, watch?: Watch): ChangeResult<ChangeRow> {
    const one = this.db.prepare(`SELECT kind, undone, of_change AS ofChange FROM change WHERE id = ?`);
    const change = one.get(id) as { kind: ChangeRow['kind']; undone: number; ofChange: number | null } | undefined;
    if (!change) throw new CannotUndoError('There is no such change.');
    if (change.kind === 'edit') return this.#reverse(id, change.undone === 1 ? 'redo' : 'undo', actor, watch);
    // Taking back what took a change back does that change again, and the other way round.
    const edit = one.get(change.ofChange) as { undone: number };
    const isStanding = (change.kind === 'undo') === (edit.undone === 1);
    if (!isStanding) throw new CannotUndoError('This was taken back already.');
    return this.#reverse(change.ofChange!, change.kind === 'undo' ? 'redo' : 'undo', actor, watch);
  }

  /** One change; undefined when there is none of this id. */
  one(id: number): ChangeRow | undefined {
    return this.#rows(`change.id = @id`, { id, limit: 1 })[0];
  }

  /** How many rows a change touched. */
  sizeOf(changeId: number): number {
    return this.db.prepare(`SELECT count(*) FROM journal WHERE change_id = ?`).pluck().get(changeId) as number;
  }

  /** The change that undo would take back; undefined when there is none. */
  nextUndo(userId: string | null): number | undefined {
    const target = this.db
      .prepare(
        `SELECT id FROM change WHERE kind = 'edit' AND undone = 0 AND user_id IS ?
         ORDER BY id DESC LIMIT 1`,
      )
      .get(userId) as { id: number } | undefined;
    return target?.id;
  }

  /** The change that redo would do again; undefined when there is none. */
  nextRedo(userId: string | null): number | undefined {
    const target = this.db
      .prepare(
        `SELECT target.id FROM change AS target JOIN change AS undo ON undo.of_change = target.id AND undo.kind = 'undo'
         WHERE target.undone = 1 AND target.user_id IS @user
           AND undo.id > (SELECT coalesce(max(id), 0) FROM change WHERE kind = 'edit' AND user_id IS @user)
         ORDER BY undo.id DESC LIMIT 1`,
      )
      .get({ user: userId }) as { id: number } | undefined;
    return target?.id;
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

  /** What other people than this one changed after a change, newest first. */
  byOthers(userId: string, after: number, limit: number): ChangeRow[] {
    return this.#rows(`change.id > @id AND change.user_id <> @user`, { id: after, user: userId, limit });
  }

  #rows(where: string, values: { limit: number; id?: number; subject?: string; user?: string }): ChangeRow[] {
    const rows = this.db
      .prepare(
        `SELECT change.id, change.at, user.name AS userName, change.done, change.kind, change.undone
         FROM change LEFT JOIN user ON user.id = change.user_id
         WHERE ${where} ORDER BY change.id DESC LIMIT @limit`,
      )
      .all(values) as (Omit<ChangeRow, 'undone' | 'label'> & { undone: number; done: string })[];
    return rows.map(({ done, ...row }) => ({ ...row, label: wordsOf(done), undone: row.undone === 1 }));
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

  /**
   * The rows of a table that belong to a subject, as they were after the change `seen`. Goes back from the rows of now along
   * what came since.
   */
  rowsAt(seen: number, subject: string, tableName: string, now: readonly Record<string, unknown>[]): Cells[] {
    const { key } = this.#columns.get(tableName)!;
    const keyOf = (row: Cells) => JSON.stringify(key.map((name) => row[name]));
    const rows = new Map(now.map((row) => [keyOf(row), row]));
    const later = this.db
      .prepare(
        `SELECT row_key AS rowKey, before FROM journal
         WHERE subject = ? AND change_id > ? AND table_name = ? ORDER BY seq DESC`,
      )
      .all(subject, seen, tableName) as { rowKey: string; before: string | null }[];
    for (const { rowKey, before } of later) {
      const known = JSON.stringify(JSON.parse(rowKey));
      if (before === null) rows.delete(known);
      else rows.set(known, parsed(before)!);
    }
    return [...rows.values()];
  }

  /**
   * Makes all rows of a subject what they were after a change; what is counted, such as stock, stays as it is now. Refused
   * where something else is in the way, in plain words.
   */
  takeBackTo(subject: string, changeId: number, done: Done, actor: Actor): ChangeResult<void> {
    const rows = this.db
      .prepare(
        `SELECT table_name AS tableName, row_key AS rowKey, before, after FROM journal
         WHERE subject = ? AND change_id > ? ORDER BY seq DESC`,
      )
      .all(subject, changeId) as { tableName: string; rowKey: string; before: string | null; after: string | null }[];
    const steps: Step[] = rows
      .map(({ tableName, rowKey, before, after }) => ({
        tableName,
        rowKey,
        key: JSON.parse(rowKey) as unknown[],
        from: after,
        to: before,
      }))
      // Pieces were sold and counted meanwhile; only with a variant that comes back, its stock does.
      .filter(({ tableName, from, to }) => tableName !== COUNTED || (from === null && to !== null));
    return this.#written({ done, kind: 'edit', of: null }, actor, steps, 'undo', () => {
      for (const step of steps) this.#take(step, 'undo');
    });
  }

  #commit<T>(
    change: { done: Done; kind: ChangeRow['kind']; of: number | null },
    actor: Actor,
    write: () => T,
  ): ChangeResult<T> {
    const { db } = this;
    const transaction = db.transaction((): ChangeResult<T> => {
      const changeId = Number(
        db
          .prepare(`INSERT INTO change (at, user_id, done, kind, of_change) VALUES (?, ?, ?, ?, ?)`)
          .run(actor.at, actor.userId, JSON.stringify(change.done), change.kind, change.of).lastInsertRowid,
      );
      db.prepare(`INSERT INTO current_change (id) VALUES (?)`).run(changeId);
      const value = write();
      db.prepare(`DELETE FROM current_change`).run();
      const subjects = db
        .prepare(`SELECT DISTINCT subject FROM journal WHERE change_id = ?`)
        .pluck()
        .all(changeId) as string[];
      if (subjects.length === 0 || this.#changedNothing(changeId)) throw new NothingChanged(value);
      return { value, changeId, subjects };
    });
    const result = committed(transaction);
    const { changeId, subjects } = result;
    if (changeId !== undefined) for (const listener of this.#listeners) listener({ changeId, subjects });
    return result;
  }

  /** Is every row again as it was before? Of a large change that is not asked. */
  #changedNothing(changeId: number): boolean {
    const rows = this.db
      .prepare(
        `SELECT table_name || ' ' || row_key AS row, before, after FROM journal WHERE change_id = ? ORDER BY seq LIMIT ?`,
      )
      .all(changeId, MOST_COMPARED + 1) as { row: string; before: string | null; after: string | null }[];
    if (rows.length > MOST_COMPARED) return false;
    const ends = new Map<string, { before: string | null; after: string | null }>();
    for (const { row, before, after } of rows)
      ends.set(row, { before: ends.has(row) ? ends.get(row)!.before : before, after });
    return [...ends.values()].every(({ before, after }) => isSameRow(before, after));
  }

  #reverse(targetId: number, kind: 'undo' | 'redo', actor: Actor, watch?: Watch): ChangeResult<ChangeRow> {
    const target = this.db.prepare(`SELECT done FROM change WHERE id = ?`).get(targetId) as { done: string };
    const steps = this.#stepsOf(targetId, kind);
    const take = (isWatched: boolean) => {
      this.#refuseLaterChanges(targetId, kind, steps);
      steps.forEach((step, i) => {
        if (isWatched && i % WATCHED_EVERY === 0) watch?.(i, steps.length);
        this.#take(step, kind);
      });
      const circle = circleOf(this.db, steps);
      if (circle) throw new CannotUndoError(`${cannot[kind]}. ${circle}`);
      this.db.prepare(`UPDATE change SET undone = ? WHERE id = ?`).run(kind === 'undo' ? 1 : 0, targetId);
      return this.history(1)[0]!;
    };
    const change = { done: JSON.parse(target.done) as Done, kind, of: targetId };
    return this.#written(change, actor, steps, kind, take);
  }

  /** Commits steps; where something that they need is not there, says what that is. */
  #written<T>(
    change: { done: Done; kind: ChangeRow['kind']; of: number | null },
    actor: Actor,
    steps: readonly Step[],
    kind: 'undo' | 'redo',
    take: (isWatched: boolean) => T,
  ): ChangeResult<T> {
    const deferred = (isWatched: boolean) => {
      this.db.pragma('defer_foreign_keys = ON');
      return take(isWatched);
    };
    try {
      return this.#commit(change, actor, () => deferred(true));
    } catch (error) {
      if (!isBroken(error, 'SQLITE_CONSTRAINT_FOREIGNKEY')) throw error;
    }
    // What is missing can only be seen while the rows stand there, so they are put back once more, and taken away.
    return this.#commit(change, actor, () => {
      deferred(false);
      throw new CannotUndoError(`${cannot[kind]}. ${missingLinks(this.db, steps).join(' ')}`);
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
      return !isSameRow(now, step.from);
    });
    if (touched.length === 0) return;
    const later = this.db.prepare(
      `SELECT DISTINCT change.id, change.done FROM journal JOIN change ON change.id = journal.change_id
       WHERE journal.table_name = ? AND journal.row_key = ? AND change.id > ? AND change.undone = 0 AND change.kind <> 'undo'`,
    );
    const because = new Map<number, string>();
    for (const step of touched)
      for (const row of later.all(step.tableName, step.rowKey, targetId) as { id: number; done: string }[])
        because.set(row.id, wordsOf(row.done));
    throw new CannotUndoError(
      kind === 'undo'
        ? `${cannot.undo} by itself: the same things were changed again later.`
        : `${cannot.redo}: the same things were changed in the meantime.`,
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
  #take(step: Step, kind: 'undo' | 'redo'): void {
    try {
      this.#write(step);
    } catch (error) {
      if (!isBroken(error, 'SQLITE_CONSTRAINT')) throw error;
      throw new CannotUndoError(`${cannot[kind]}. ${takenBy(this.db, step.tableName, parsed(step.to), error)}`);
    }
  }

  #write({ tableName, key, from, to }: Step): void {
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
