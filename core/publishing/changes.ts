import { z } from 'zod';
import { documentKinds } from '../model/document';

/** What shoppers would notice of one document. */
export const documentChangeSchema = z.object({
  kind: z.enum(documentKinds),
  key: z.string(),
  title: z.string(),
  what: z.enum(['new', 'changed', 'gone']),
  /** in words, as shoppers would read it; empty when there was, or is, nothing */
  fields: z.array(z.object({ label: z.string(), before: z.string(), after: z.string() })),
});
export type DocumentChange = z.infer<typeof documentChangeSchema>;
export type FieldChange = DocumentChange['fields'][number];

/** Who joins and who leaves a place, as product ids. */
export const placeChangeSchema = z.object({
  kind: z.enum(['section', 'category', 'collection', 'brand', 'tag']),
  id: z.string(),
  title: z.string(),
  page: z.string().nullable(),
  joined: z.array(z.string()),
  left: z.array(z.string()),
  /** the products after the change, in order, at most the first few */
  shown: z.array(z.string()),
  reordered: z.boolean(),
});
export type PlaceChange = z.infer<typeof placeChangeSchema>;
