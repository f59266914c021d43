import type { z } from 'zod';

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

/** What keys of programs may read. */
export const keyScopes = ['goods', 'groups', 'stock', 'orders'] as const;
export type KeyScope = (typeof keyScopes)[number];

/** One call of the HTTP API: what it takes and what it answers. */
export interface Route<
  Query extends z.ZodType = z.ZodType,
  Body extends z.ZodType = z.ZodType,
  Answer extends z.ZodType = z.ZodType,
> {
  method: Method;
  /** with :name for parts that vary */
  path: string;
  summary: string;
  query?: Query;
  body?: Body;
  /** the body is multipart/form-data with files in the field "files" */
  files?: boolean;
  answer: Answer;
  /** though it is no GET, it does not wait for long writes: it changes nothing, or sees to that itself */
  waits?: false;
  /** programs with a key that may read this may call it, too: it changes nothing */
  scope?: KeyScope;
  /** everybody gets the same answer: it may be kept, and asked for again with its tag */
  shared?: true;
  /** anybody may call it, without signing in */
  open?: boolean;
  /** people who propose changes of what they make may call it; they may call nothing else */
  makers?: true;
  /** people who may do nothing but translate may call it */
  translates?: true;
  /** only the owners of the shop may call it, not those who help them */
  owner?: boolean;
}

/** Declares a route and keeps the exact types of its shapes. */
export function route<
  Query extends z.ZodType = z.ZodNever,
  Body extends z.ZodType = z.ZodNever,
  Answer extends z.ZodType = z.ZodType,
>(definition: Route<Query, Body, Answer>): Route<Query, Body, Answer> {
  return definition;
}

export type QueryOf<R> = R extends Route<infer Query, z.ZodType, z.ZodType> ? z.output<Query> : never;
export type BodyOf<R> = R extends Route<z.ZodType, infer Body, z.ZodType> ? z.output<Body> : never;
export type BodyInput<R> = R extends Route<z.ZodType, infer Body, z.ZodType> ? z.input<Body> : never;
export type AnswerOf<R> = R extends Route<z.ZodType, z.ZodType, infer Answer> ? z.output<Answer> : never;
