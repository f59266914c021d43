import { z } from 'zod';

/** An opaque, stable id: a short prefix that says the kind of thing, then random characters. */
export const idSchema = z.string().regex(/^[a-z]{1,4}_[a-z0-9]{6,32}$/, 'This is not an id.');

const ADDRESS = /^[a-z0-9]+(?:-[a-z0-9]+)*$/;

/** The part of an address that names one thing. Lower-case letters, digits and single hyphens. */
export const slugSchema = z
  .string()
  .min(1, 'An address needs at least one letter.')
  .max(120, 'An address can have at most 120 characters.')
  .regex(ADDRESS, 'An address can hold small letters, digits and single hyphens, no slashes or spaces.');
