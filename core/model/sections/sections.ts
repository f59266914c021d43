import { z } from 'zod';
import { canonicalJson } from '../../shared/canonical-json';
import type { Rule } from '../rule';
import type { Target } from '../target';
import { banner } from './banner';
import { facts } from './facts';
import { film } from './film';
import { line } from './line';
import { listing } from './listing';
import { pictureText } from './picture-text';
import { pictures } from './pictures';
import { product } from './product';
import { questions } from './questions';
import { quotes } from './quotes';
import type { Follow } from './section-type';
import { strip } from './strip';
import { subscribe } from './subscribe';
import { text } from './text';
import { tiles } from './tiles';

/**
 * All sorts of sections, in the order in which they are offered. What stands here has to have a view in core, a look in the
 * shop and fields in the desk.
 */
export const sectionTypes = {
  banner,
  strip,
  tiles,
  product,
  listing,
  text,
  pictureText,
  pictures,
  film,
  quotes,
  facts,
  questions,
  subscribe,
  line,
};

type Types = typeof sectionTypes;
export type SectionKind = keyof Types;
type BodyOfKind<Kind extends SectionKind> = z.infer<Types[Kind]['schema']>;
export type SectionBody = { [Kind in SectionKind]: BodyOfKind<Kind> }[SectionKind];
type SectionInput = { [Kind in SectionKind]: z.input<Types[Kind]['schema']> }[SectionKind];

const schemas = Object.values(sectionTypes).map(({ schema }) => schema) as unknown as readonly [
  Types['banner']['schema'],
  ...Types[SectionKind]['schema'][],
];
export const sectionBodySchema = z.discriminatedUnion('kind', schemas) as unknown as z.ZodType<
  SectionBody,
  SectionInput
>;

export type Section = SectionBody & { id: string };
export type SectionOf<Kind extends SectionKind> = Extract<Section, { kind: Kind }>;

/** A declaration as whoever does not know the sort of section can use it. */
interface AnySectionType {
  name: string;
  about: string;
  fresh: () => SectionBody;
  gone: Readonly<Record<string, string | undefined>>;
  follow: <Body extends SectionBody>(section: Body, follow: Follow) => Body;
  followRules?: <Body extends SectionBody>(section: Body, follow: (rule: Rule) => Rule) => Body;
}

/** The declaration of a section, whatever its sort. */
export const typeOfSection = ({ kind }: Pick<SectionBody, 'kind'>) => sectionTypes[kind] as unknown as AnySectionType;

/** What fields of each sort are while nothing else is said. */
const usual = Object.fromEntries(
  Object.entries(sectionTypes).map(([kind, { schema }]) => [
    kind,
    Object.fromEntries(
      Object.entries(schema.shape as Record<string, z.ZodType>).flatMap(([field, of]) => {
        const { success, data } = of.safeParse(undefined);
        return success ? [[field, data]] : [];
      }),
    ),
  ]),
) as Record<SectionKind, Record<string, unknown>>;

/** A section as it is stored: without what is as usual, so that it keeps its text when sections learn new fields. */
export function leanSection<S extends SectionBody>(section: S): Partial<S> {
  const as = usual[section.kind];
  return Object.fromEntries(
    Object.entries(section).filter(
      ([field, value]) => !(field in as) || canonicalJson(value) !== canonicalJson(as[field]),
    ),
  ) as Partial<S>;
}

/** The section that `leanSection` made less of. */
export const wholeSection = <S extends { kind: SectionKind }>(stored: S): S => ({ ...usual[stored.kind], ...stored });

/** The groups, products and pages that a section names, each with the field that does. */
export function targetsOf(section: SectionBody): { field: string; to: Target }[] {
  const found: { field: string; to: Target }[] = [];
  typeOfSection(section).follow(section, (to, field) => {
    found.push({ field, to });
    return to;
  });
  return found;
}

/** The rules that a section holds. */
export function rulesOf(section: SectionBody): Rule[] {
  const found: Rule[] = [];
  typeOfSection(section).followRules?.(section, (rule) => {
    found.push(rule);
    return rule;
  });
  return found;
}
