import { z } from 'zod';
import type { Rule } from '../rule';
import type { Link, Target } from '../target';
import { frameFields } from './frame';
import { translatable } from '../translatable';

/** What a section leads to or takes its goods from is answered with another target, or with itself. */
export type Follow = (to: Target, field: string) => Target;

type Shape<Kind extends string, Fields extends z.ZodRawShape> = z.ZodObject<
  { kind: z.ZodLiteral<Kind> } & typeof frameFields & Fields
>;

/** One sort of section that a page can have, as far as it is stored. */
interface SectionType<Kind extends string, Schema extends z.ZodObject<{ kind: z.ZodLiteral<Kind> }>> {
  kind: Kind;
  /** as sellers call it */
  name: string;
  /** what it is for, in one sentence */
  about: string;
  schema: Schema;
  /** a new one, before anybody has changed it */
  fresh: () => z.infer<Schema>;
  /** the section with every group, product or page that it names followed; itself when nothing changes */
  follow: (section: z.infer<Schema>, follow: Follow) => z.infer<Schema>;
  /** the rules in it, each changed; itself when none is; absent where there are none */
  followRules?: (section: z.infer<Schema>, follow: (rule: Rule) => Rule) => z.infer<Schema>;
  /** what is said at a field that names something deleted; other fields may, and shoppers then see less */
  gone: { readonly [Field in keyof z.infer<Schema>]?: string };
}

type Declared<Kind extends string, Fields extends z.ZodRawShape> = SectionType<Kind, Shape<Kind, Fields>>;

/**
 * Declares a sort of section; `fields` are its own. Fields with a default may be missing where the section was stored before
 * there were such fields, or is as usual. `start` says what a new one has beside defaults.
 */
export function sectionType<Kind extends string, Fields extends z.ZodRawShape>(
  kind: Kind,
  fields: Fields,
  {
    start,
    ...rest
  }: Omit<Declared<Kind, Fields>, 'kind' | 'schema' | 'fresh'> & { start: z.input<z.ZodObject<Fields>> },
): Declared<Kind, Fields> {
  const schema = z.object({ kind: z.literal(kind), ...frameFields, ...fields }) as unknown as Shape<Kind, Fields>;
  const fresh = () => schema.parse({ kind, ...start });
  return { ...rest, kind, schema, fresh };
}

export const sectionTitle = translatable(
  z.string().trim().max(200, 'A title can have at most 200 characters.'),
  'heading',
);

/** A link with its target followed; itself when that stays. */
export function followLink<L extends Link | null>(link: L, follow: Follow, field: string): L {
  if (link === null || link.kind === 'address') return link;
  const to = follow(link, field);
  return (to as Link) === link ? link : (to as L);
}

/** Each of a list changed; the same list when none is. */
export function eachOf<T>(list: T[], change: (item: T) => T): T[] {
  const next = list.map(change);
  return next.some((item, i) => item !== list[i]) ? next : list;
}

/** Products that are named by id, followed; each stands once. */
export function followProducts(ids: string[], follow: Follow, field: string): string[] {
  const next = eachOf(ids, (id) => follow({ kind: 'product', id }, field).id);
  return next === ids ? ids : [...new Set(next)];
}

/** The section with these fields; itself when they are what they were. */
export function withFields<S extends object>(section: S, fields: Partial<S>): S {
  const isSame = Object.entries(fields).every(([name, value]) => section[name as keyof S] === value);
  return isSame ? section : { ...section, ...fields };
}
