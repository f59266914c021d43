import { z } from 'zod';
import type { Target } from '../target';
import { banner } from './banner';
import type { Follow } from './section-type';
import { strip } from './strip';
import { tiles } from './tiles';

/** All sorts of sections. What stands here has to have a view in core, a look in the shop and fields in the desk. */
export const sectionTypes = { banner, strip, tiles };

type Types = typeof sectionTypes;
export type SectionKind = keyof Types;
type BodyOfKind<Kind extends SectionKind> = z.infer<Types[Kind]['schema']>;
export type SectionBody = { [Kind in SectionKind]: BodyOfKind<Kind> }[SectionKind];

const schemas = Object.values(sectionTypes).map(({ schema }) => schema) as unknown as readonly [
  Types['banner']['schema'],
  ...Types[SectionKind]['schema'][],
];
export const sectionBodySchema = z.discriminatedUnion('kind', schemas) as unknown as z.ZodType<
  SectionBody,
  SectionBody
>;

export type Section = SectionBody & { id: string };
export type SectionOf<Kind extends SectionKind> = Extract<Section, { kind: Kind }>;

/** A declaration as whoever does not know the sort of section can use it. */
interface AnySectionType {
  name: string;
  fresh: () => SectionBody;
  words: readonly string[];
  gone: Readonly<Record<string, string | undefined>>;
  follow: <Body extends SectionBody>(section: Body, follow: Follow) => Body;
}

/** The declaration of a section, whatever its sort. */
export const typeOfSection = ({ kind }: Pick<SectionBody, 'kind'>) => sectionTypes[kind] as unknown as AnySectionType;

/** The groups and pages that a section names, each with the field that does. */
export function targetsOf(section: SectionBody): { field: string; to: Target }[] {
  const found: { field: string; to: Target }[] = [];
  typeOfSection(section).follow(section, (to, field) => {
    found.push({ field, to });
    return to;
  });
  return found;
}
