import { z } from 'zod';
import type { Target } from '../target';

/** What a section leads to or takes its goods from is answered with another target, or with itself. */
export type Follow = (to: Target, field: string) => Target;

/** One sort of section that a page can have, as far as it is stored. */
export interface SectionType<Kind extends string, Schema extends z.ZodObject<{ kind: z.ZodLiteral<Kind> }>> {
  kind: Kind;
  /** as sellers call it */
  name: string;
  schema: Schema;
  /** a new one, before anybody has changed it */
  fresh: () => z.infer<Schema>;
  /** fields with words that shoppers read */
  words: readonly (keyof z.infer<Schema> & string)[];
  /** the section with every group or page that it names followed; itself when nothing changes */
  follow: (section: z.infer<Schema>, follow: Follow) => z.infer<Schema>;
  /** what is said at a field that names something deleted; other fields may, and shoppers then see less */
  gone: { readonly [Field in keyof z.infer<Schema>]?: string };
}

/** Declares a sort of section; `fields` are its own, beside `kind`. */
export function sectionType<Kind extends string, Fields extends z.ZodRawShape>(
  kind: Kind,
  fields: Fields,
  rest: Omit<SectionType<Kind, z.ZodObject<{ kind: z.ZodLiteral<Kind> } & Fields>>, 'kind' | 'schema'>,
): SectionType<Kind, z.ZodObject<{ kind: z.ZodLiteral<Kind> } & Fields>> {
  return { ...rest, kind, schema: z.object({ kind: z.literal(kind), ...fields }) };
}

export const sectionTitle = z.string().trim().max(120, 'A title can have at most 120 characters.');
