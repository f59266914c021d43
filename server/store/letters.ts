import type { Db } from '../database/connection';

export interface QuestionRow {
  id: string;
  /** moment, UTC */
  at: string;
  productId: string;
  variantId: string | null;
  about: string;
  email: string;
  text: string;
  answered: string | null;
  /** language of the page that it was asked on; empty for the main one */
  locale: string;
}

export interface BackNote {
  variantId: string;
  productId: string;
  email: string;
  /** moment, UTC */
  at: string;
  /** language of the page; empty for the main one */
  locale: string;
}

export interface Letter {
  at: string;
  /** name and address, as “Lark & Line <hello@larkandline.example>”; empty for letters from before */
  sender: string;
  recipient: string;
  subject: string;
  text: string;
}

/** So many of each are read: what is older is seldom looked at. */
const MOST = 1_000;

export function putQuestion(db: Db, question: Omit<QuestionRow, 'answered'>): void {
  db.prepare(
    `INSERT INTO question (id, at, product_id, variant_id, about, email, text, locale)
     VALUES (@id, @at, @productId, @variantId, @about, @email, @text, @locale)`,
  ).run(question);
}

const columns = `id, at, product_id AS productId, variant_id AS variantId, about, email, text, answered, locale`;

export function readQuestions(db: Db): QuestionRow[] {
  return db
    .prepare(`SELECT ${columns} FROM question ORDER BY answered IS NOT NULL, at DESC, id LIMIT ?`)
    .all(MOST) as QuestionRow[];
}

export function readQuestion(db: Db, id: string): QuestionRow | undefined {
  return db.prepare(`SELECT ${columns} FROM question WHERE id = ?`).get(id) as QuestionRow | undefined;
}

export function noteAnswered(db: Db, id: string, at: string): void {
  db.prepare(`UPDATE question SET answered = ? WHERE id = ?`).run(at, id);
}

/** Who waits already keeps the moment at which they asked first. */
export function putBackNote(db: Db, note: BackNote): void {
  db.prepare(
    `INSERT INTO back_note (variant_id, product_id, email, at, locale) VALUES (@variantId, @productId, @email, @at, @locale)
     ON CONFLICT DO NOTHING`,
  ).run(note);
}

export function readBackNotes(db: Db): BackNote[] {
  return db
    .prepare(
      `SELECT variant_id AS variantId, product_id AS productId, email, at, locale FROM back_note ORDER BY at DESC, email LIMIT ?`,
    )
    .all(MOST) as BackNote[];
}

/** Products that somebody waits for a variant of, each with those variants. */
export function readAwaited(db: Db): { productId: string; variantId: string }[] {
  return db.prepare(`SELECT DISTINCT product_id AS productId, variant_id AS variantId FROM back_note`).all() as {
    productId: string;
    variantId: string;
  }[];
}

/** Takes out who waits for a variant, the first to ask first. */
export function takeBackNotes(db: Db, variantId: string): BackNote[] {
  const notes = db
    .prepare(
      `SELECT variant_id AS variantId, product_id AS productId, email, at FROM back_note WHERE variant_id = ? ORDER BY at, email`,
    )
    .all(variantId) as BackNote[];
  db.prepare(`DELETE FROM back_note WHERE variant_id = ?`).run(variantId);
  return notes;
}

export function putLetter(db: Db, letter: Letter): void {
  db.prepare(
    `INSERT INTO outbox (at, sender, recipient, subject, text) VALUES (@at, @sender, @recipient, @subject, @text)`,
  ).run(letter);
}

export function readOutbox(db: Db): (Letter & { id: number })[] {
  return db
    .prepare(`SELECT id, at, sender, recipient, subject, text FROM outbox ORDER BY id DESC LIMIT ?`)
    .all(MOST) as (Letter & { id: number })[];
}
