import type { Option, Variant } from '../model/product';
import { isSameName } from '../shared/same-name';

export const MAX_OPTIONS = 3;
export const MAX_VARIANTS = 500;

/** Every combination of one value per option, first option slowest. One empty combination without options. */
export function combinations(options: readonly Option[]): string[][] {
  let rows: string[][] = [[]];
  for (const option of options) rows = rows.flatMap((row) => option.values.map((value) => [...row, value.id]));
  return rows;
}

/** "Ember · With reel", or "" for a product without options. */
export function variantName(options: readonly Pick<Option, 'values'>[], variant: Pick<Variant, 'values'>): string {
  return options
    .map((option, i) => option.values.find((value) => value.id === variant.values[i])?.name)
    .filter(Boolean)
    .join(' · ');
}

/** Words for a picture: the title, with the option values that all variants tied to the picture share. */
export function pictureWords(
  product: { title: string; options: readonly Option[]; variants: readonly Pick<Variant, 'values' | 'pictureId'>[] },
  pictureId: string,
): string {
  const tied = product.variants.filter((variant) => variant.pictureId === pictureId);
  const shared = product.options.flatMap((option, i) => {
    const ids = new Set(tied.map((variant) => variant.values[i]));
    const name = ids.size === 1 && option.values.find(({ id }) => ids.has(id))?.name;
    return name ? [name] : [];
  });
  return tied.length === product.variants.length ? product.title : [product.title, ...shared].join(', ');
}

export interface OptionProblem {
  path: (string | number)[];
  message: string;
}

/** What is wrong with the names and numbers of `options`; empty when they can be saved. */
export function checkOptions(
  options: readonly { name: string; values: readonly { name: string }[] }[],
): OptionProblem[] {
  const problems: OptionProblem[] = [];
  if (options.length > MAX_OPTIONS)
    problems.push({ path: ['options'], message: `A product can have at most ${MAX_OPTIONS} options.` });
  options.forEach((option, o) => {
    if (!option.name.trim()) problems.push({ path: ['options', o, 'name'], message: 'An option needs a name.' });
    if (options.findIndex((other) => isSameName(other.name, option.name)) < o)
      problems.push({ path: ['options', o, 'name'], message: `There is already an option “${option.name.trim()}”.` });
    if (option.values.length === 0)
      problems.push({ path: ['options', o, 'values'], message: 'An option needs at least one value.' });
    option.values.forEach((value, v) => {
      const path = ['options', o, 'values', v];
      if (!value.name.trim()) problems.push({ path, message: 'A value needs a name.' });
      else if (option.values.findIndex((other) => isSameName(other.name, value.name)) < v)
        problems.push({ path, message: `“${value.name.trim()}” is already a value of ${option.name.trim()}.` });
    });
  });
  const count = options.reduce((product, option) => product * option.values.length, 1);
  if (count > MAX_VARIANTS)
    problems.push({
      path: ['options'],
      message: `This would make ${count} variants; a product can have at most ${MAX_VARIANTS}.`,
    });
  return problems;
}

/**
 * Variants after some option values became others. One that falls together with another gives it its stock, and its
 * codes where that has none; counted and uncounted stock together is uncounted. O(variants).
 */
export function mergeValues(variants: readonly Variant[], into: ReadonlyMap<string, string>): Variant[] {
  const isMerged = ({ values }: Variant) => values.some((value) => into.has(value));
  const keyOf = (values: readonly string[]) => values.join(' ');
  const kept = new Map(
    variants.filter((variant) => !isMerged(variant)).map((variant) => [keyOf(variant.values), variant]),
  );
  for (const variant of variants.filter(isMerged)) {
    const values = variant.values.map((value) => into.get(value) ?? value);
    const target = kept.get(keyOf(values));
    if (!target) {
      kept.set(keyOf(values), { ...variant, values });
      continue;
    }
    const stock = target.stock === null || variant.stock === null ? null : target.stock + variant.stock;
    const { sku, barcode, supplierNumber } = variant;
    kept.set(keyOf(values), {
      ...target,
      stock,
      sku: target.sku || sku,
      barcode: target.barcode || barcode,
      supplierNumber: target.supplierNumber || supplierNumber,
    });
  }
  return [...kept.values()];
}

export interface VariantPlan {
  /** kept variants, with the values they now have */
  keep: { variant: Variant; values: string[] }[];
  /** combinations that need a new variant, each with the kept variant it takes its price from */
  add: { values: string[]; like: Variant | undefined }[];
  /** variants that no longer stand for any combination */
  drop: Variant[];
}

/**
 * How the variants of a product follow its options. A variant is kept when its values still fit; when an option is
 * new, the old variant becomes the combination with that option's first value; when an option goes, the first of the
 * variants that fall together is kept. Combinations in `excluded` get no variant. Nothing is dropped here: the caller
 * decides what to do with `drop`.
 * O(combinations × options).
 */
export function planVariants(
  before: readonly Option[],
  after: readonly Option[],
  variants: readonly Variant[],
  excluded: readonly (readonly string[])[] = [],
): VariantPlan {
  const place = new Map(before.map((option, i) => [option.id, i]));
  const plan: VariantPlan = { keep: [], add: [], drop: [] };
  const unwanted = new Set(excluded.map((values) => values.join(' ')));
  const kept = new Map<string, Variant>();
  for (const variant of variants) {
    const values = after.map((option) => {
      const at = place.get(option.id);
      return at === undefined ? option.values[0]?.id : variant.values[at];
    });
    const fits = after.every((option, i) => option.values.some((value) => value.id === values[i]));
    const key = values.join(' ');
    if (!fits || kept.has(key) || unwanted.has(key)) plan.drop.push(variant);
    else {
      kept.set(key, variant);
      plan.keep.push({ variant, values: values as string[] });
    }
  }
  for (const values of combinations(after)) {
    if (kept.has(values.join(' ')) || unwanted.has(values.join(' '))) continue;
    let like: Variant | undefined;
    let best = -1;
    for (const row of plan.keep) {
      const shared = row.values.filter((value, i) => value === values[i]).length;
      if (shared > best) [best, like] = [shared, row.variant];
    }
    plan.add.push({ values, like: like ?? variants[0] });
  }
  return plan;
}

/** Of the combinations that were left out, those that the options can still make. */
export function stillExcluded(options: readonly Option[], excluded: readonly (readonly string[])[]): string[][] {
  return excluded
    .filter(
      (values) =>
        values.length === options.length &&
        options.every((option, i) => option.values.some(({ id }) => id === values[i])),
    )
    .map((values) => [...values]);
}

/** True when throwing the variant away would lose something that the seller typed or counted. */
export function holdsWork(variant: Variant): boolean {
  const { sku, barcode, supplierNumber, stock, salePrice } = variant;
  return [sku, barcode, supplierNumber].some((code) => code !== '') || (stock ?? 0) > 0 || salePrice !== null;
}
