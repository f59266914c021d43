import { namesOf } from '../model/fields';
import type { ProposedOption } from '../model/proposal';
import { variantFields } from '../model/variant-fields';

/** The key under which is told what holds for all variants of a new product, and for the one of a product without options. */
export const ALL_NEW = 'new';

export interface NewVariant {
  /** the places of its values, such as "0.2" */
  key: string;
  /** what its values are called, one for each option */
  names: string[];
}

/** The variants that a new product begins with, first option slowest. O(combinations × options). */
export function newVariants(options: readonly ProposedOption[]): NewVariant[] {
  let rows: { places: number[]; names: string[] }[] = [{ places: [], names: [] }];
  for (const { values } of options)
    rows = rows.flatMap(({ places, names }) =>
      values.map((name, i) => ({ places: [...places, i], names: [...names, name] })),
    );
  return rows.map(({ places, names }) => ({ key: places.length === 0 ? ALL_NEW : places.join('.'), names }));
}

/** What can be told of all variants at once: amounts and weights, but no numbers that are one variant's alone. */
export const sharedFields: ReadonlySet<string> = new Set(
  namesOf(variantFields, ({ told }) => told === 'money' || told === 'weight'),
);

/** What is told of a new variant: its own fields, over those that are told of all. */
export function fieldsOfNew<F extends object>(variants: Readonly<Record<string, F>>, key: string): F {
  const own = variants[key] ?? ({} as F);
  if (key === ALL_NEW) return own;
  const shared = Object.entries(variants[ALL_NEW] ?? {}).filter(([name]) => sharedFields.has(name));
  return { ...(Object.fromEntries(shared) as F), ...own };
}
