import { z } from 'zod';

const fieldErrorSchema = z.object({
  /** place of the field in the request */
  path: z.array(z.union([z.string(), z.number()])),
  message: z.string(),
  /** for a clash: what somebody else saved meanwhile */
  theirs: z.unknown().optional(),
});
export type FieldError = z.infer<typeof fieldErrorSchema>;

/** RFC 9457 problem details, with the fields that are wrong. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string().optional(),
  errors: z.array(fieldErrorSchema).optional(),
});
export type Problem = z.infer<typeof problemSchema>;

/** Kinds of problem that a caller may want to tell apart. */
export const problemTypes = {
  invalid: 'urn:dispona:invalid',
  notFound: 'urn:dispona:not-found',
  signIn: 'urn:dispona:sign-in',
  token: 'urn:dispona:token',
  clash: 'urn:dispona:clash',
  confirm: 'urn:dispona:confirm',
  cannotUndo: 'urn:dispona:cannot-undo',
  tooLarge: 'urn:dispona:too-large',
  tooMany: 'urn:dispona:too-many',
  owner: 'urn:dispona:owner',
  closed: 'urn:dispona:closed',
  failed: 'urn:dispona:failed',
} as const;
