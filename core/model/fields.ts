import type { z } from 'zod';

/**
 * Who meets a field. shoppers: they can read or notice it. rules: they never see it, but collections, offers and orders are
 * made by it, so that an edition holds it. seller: nobody else; it is part of no edition.
 */
type Audience = 'shoppers' | 'rules' | 'seller';

/** What of a product can be given to others at once. */
export const copiedParts = ['options', 'prices', 'specs', 'delivery', 'relations', 'search', 'belongs'] as const;
export type CopiedPart = (typeof copiedParts)[number];

/** A field, declared once: all that the rest of Dispona needs to know of it. */
export interface Field {
  /** what it can be */
  stored: z.ZodType;
  /** what a seller may write into it, where that is not the same; null for what is not written by itself */
  typed?: z.ZodType | null;
  /** what it is until somebody fills it in; absent where a product cannot be without */
  usual?: unknown;
  audience: Audience;
  /** its name inside a sentence: "the sale price was changed" */
  words: string;
  /** how its column holds it; in tables of their own where it is a list of links */
  column: 'plain' | 'flag' | 'json' | 'order' | 'own table';
  /** how a value is told in the history; as text, yes or no, or only that it changed, unless said */
  told?: Told;
  /** among what it is given to other products */
  copied?: CopiedPart;
  /** among what only some kinds of products have */
  part?: 'delivery' | 'duration' | 'ownValue' | 'downloads' | 'slots';
  /** it can be edited in the sheet */
  inSheet?: boolean;
  /** what somebody who makes the goods, and does not run the shop, may do with it; nothing unless said */
  makers?: 'see' | 'propose';
}

/** How one value of a field is told in words. */
export type Told =
  | 'text'
  | 'yes or no'
  | 'changed'
  | 'money'
  | 'moment'
  | 'weight'
  | 'status'
  | 'category'
  | 'brand'
  | 'spec sheet'
  | 'products'
  | 'rule'
  | 'order'
  | 'source'
  | 'not at all';

export type Fields = Readonly<Record<string, Field>>;

/** Declares fields; their names are those in documents, and in snake case those of their columns. */
export const declare = <const F extends Fields>(fields: F): F => fields;

const map = <T>(fields: Fields, of: (field: Field) => T): Record<string, T> =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, of(field)]));

/** The shape of what is stored. */
export const storedShape = <F extends Fields>(fields: F) =>
  map(fields, ({ stored }) => stored) as { -readonly [K in keyof F]: F[K]['stored'] };

type TypedOf<F extends Field> = F extends { typed: infer T extends z.ZodType } ? T : F['stored'];
type WrittenNames<F extends Fields> = {
  [K in keyof F]: F[K] extends { typed: null } ? never : K;
}[keyof F];

/** The shape of what a seller may write. */
export const typedShape = <F extends Fields>(fields: F) =>
  Object.fromEntries(
    Object.entries(fields)
      .filter(([, { typed }]) => typed !== null)
      .map(([name, { stored, typed }]) => [name, typed ?? stored]),
  ) as { -readonly [K in WrittenNames<F>]: TypedOf<F[K]> };

type NamesWithUsual<F extends Fields> = { [K in keyof F]: F[K] extends { usual: unknown } ? K : never }[keyof F];

/** What fields are until somebody fills them in. */
export const usualValues = <F extends Fields>(fields: F) =>
  Object.fromEntries(
    Object.entries(fields)
      .filter(([, field]) => 'usual' in field)
      .map(([name, { usual }]) => [name, usual]),
  ) as { -readonly [K in NamesWithUsual<F>]: z.infer<F[K]['stored']> };

/** Names of the fields of which something holds. */
export const namesOf = <F extends Fields>(fields: F, holds: (field: Field) => boolean = () => true) =>
  Object.keys(fields).filter((name) => holds(fields[name]!)) as (keyof F & string)[];

/** Names of the fields that only the seller meets. */
export type SellersOwn<F extends Fields> = {
  [K in keyof F]: F[K]['audience'] extends 'seller' ? K : never;
}[keyof F];

type ProposedNames<F extends Fields> = {
  [K in keyof F]: F[K] extends { makers: 'propose' } ? K : never;
}[keyof F];

/** The shape of what makers may propose. */
export const proposedShape = <F extends Fields>(fields: F) => {
  const isProposed = new Set<string>(namesOf(fields, ({ makers }) => makers === 'propose'));
  return Object.fromEntries(Object.entries(typedShape(fields)).filter(([name]) => isProposed.has(name))) as {
    -readonly [K in ProposedNames<F>]: TypedOf<F[K]>;
  };
};

/** Field → its name inside a sentence. */
export const fieldWords = <F extends Fields>(fields: F) =>
  map(fields, ({ words }) => words) as { -readonly [K in keyof F]: string };

/** The column of a field: its name in snake case, but for that of an order, which SQL keeps for itself. */
export const columnOf = (name: string): string =>
  name === 'order' ? 'sort' : name.replace(/[A-Z]/g, (capital) => `_${capital.toLowerCase()}`);
