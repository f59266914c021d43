import { z } from 'zod';
import { idSchema, slugSchema } from '../shared/identity';
import { groupTargetSchema } from './target';
import { momentSchema } from './product-values';
import { isShownAt } from './sections/frame';
import { canonicalJson } from '../shared/canonical-json';
import { leanSection, sectionBodySchema, wholeSection } from './sections/sections';
import { translatable } from './translatable';

/** What a page says of itself beside its sections. What is as usual is left out where pages are published. */
export const pageSettings = {
  /** whether its title stands on it, above the sections */
  showsTitle: z.boolean().default(false),
  /** seen between these; open where null */
  from: momentSchema.default(null),
  until: momentSchema.default(null),
  metaTitle: translatable(z.string().trim().max(120, 'At most 120 characters.'), 'meta title').default(''),
  metaDescription: translatable(z.string().trim().max(320, 'At most 320 characters.'), 'meta description').default(''),
  noindex: z.boolean().default(false),
  /** groups on whose listings it stands instead of at an address of its own */
  standsOn: z.array(groupTargetSchema).max(200, 'At most 200 groups.').default([]),
};
export type PageSettings = z.infer<z.ZodObject<typeof pageSettings>>;
export const usualPage: PageSettings = z.object(pageSettings).parse({});

export const pageSchema = z.object({
  id: idSchema,
  title: translatable(z.string(), 'title'),
  slug: translatable(slugSchema, 'address', { form: 'address', optional: true }),
  /** the home page stands at "/" and cannot be deleted */
  home: z.boolean(),
  ...pageSettings,
  sections: z.array(z.intersection(sectionBodySchema, z.object({ id: idSchema }))),
});
export type Page = z.infer<typeof pageSchema>;

/** Whether shoppers meet a page at `now` (milliseconds since 1970). The home page is always there. */
export const isPageOpen = ({ home, from, until }: Pick<Page, 'home' | 'from' | 'until'>, now: number): boolean =>
  home || isShownAt({ hidden: false, from, until }, now);

/** A page as it is published: without what is as usual, so that it keeps its text when pages learn new fields. */
export function leanPage({ sections, ...page }: Page): object {
  const usual = usualPage as Record<string, unknown>;
  const settings = Object.entries(page).filter(
    ([field, value]) => !(field in usual) || canonicalJson(value) !== canonicalJson(usual[field]),
  );
  return { ...Object.fromEntries(settings), sections: sections.map(leanSection) };
}

/** The page that `leanPage` made less of. */
export const wholePage = (stored: Page): Page => ({
  ...usualPage,
  ...stored,
  sections: stored.sections.map(wholeSection),
});
