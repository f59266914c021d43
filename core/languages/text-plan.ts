import type { z } from 'zod';
import { markOf, type TextMark } from '../model/translatable';

/** Where the texts of a shape stand: made from its schema once, then walked for each value. */
export type TextPlan =
  | { is: 'text'; mark: TextMark }
  | { is: 'object'; fields: readonly (readonly [name: string, plan: TextPlan])[] }
  | { is: 'list' | 'record'; of: TextPlan }
  | { is: 'either'; ways: readonly { fits: (value: unknown) => boolean; plan: TextPlan }[] }
  | { is: 'all'; plans: readonly TextPlan[] }
  | { is: 'later'; plan: () => TextPlan | undefined };

/** A text of a document: where it stands, such as "sections.s_1.slides.0.title", and how it is marked. */
export interface FoundText {
  path: string;
  text: string;
  mark: TextMark;
}

type Def = {
  type: string;
  innerType?: z.ZodType;
  element?: z.ZodType;
  valueType?: z.ZodType;
  shape?: Record<string, z.ZodType>;
  options?: z.ZodType[];
  left?: z.ZodType;
  right?: z.ZodType;
  in?: z.ZodType;
  getter?: () => z.ZodType;
  values?: unknown[];
  entries?: Record<string, unknown>;
};

const defOf = (schema: z.ZodType) => (schema as unknown as { def: Def }).def;

/** What a field can only be, where it can be but a few things; undefined for any other. */
function onlyValues(schema: z.ZodType): readonly unknown[] | undefined {
  const { type, values, entries } = defOf(schema);
  if (type === 'literal') return values;
  return type === 'enum' ? Object.values(entries!) : undefined;
}

/** Whether a value is of a shape, told by its kind of value and by the fields that can be but a few things. */
function fitsShape(schema: z.ZodType): (value: unknown) => boolean {
  const { type, shape } = defOf(schema);
  if (type === 'string') return (value) => typeof value === 'string';
  if (type === 'array') return Array.isArray;
  if (type !== 'object') return () => false;
  const told = Object.entries(shape!).flatMap(([name, field]) => {
    const values = onlyValues(field);
    return values ? [[name, values] as const] : [];
  });
  return (value) =>
    typeof value === 'object' &&
    value !== null &&
    !Array.isArray(value) &&
    told.every(([name, values]) => values.includes((value as Record<string, unknown>)[name]));
}

const plans = new Map<z.ZodType, TextPlan | undefined>();

/** The plan of a schema; undefined where nothing in it is a text that shoppers read. */
export function textPlan(schema: z.ZodType): TextPlan | undefined {
  if (!plans.has(schema)) plans.set(schema, planOf(schema));
  return plans.get(schema);
}

function planOf(schema: z.ZodType): TextPlan | undefined {
  const mark = markOf(schema);
  const { maxLength } = schema as { maxLength?: number | null };
  if (mark) return { is: 'text', mark: maxLength ? { ...mark, most: maxLength } : mark };
  const { type, innerType, element, valueType, shape, options, left, right, in: from, getter } = defOf(schema);
  if (type === 'lazy') return { is: 'later', plan: () => textPlan(getter!()) };
  if (type === 'array' || type === 'record') {
    const of = textPlan((type === 'array' ? element : valueType)!);
    return of && { is: type === 'array' ? 'list' : 'record', of };
  }
  if (type === 'object') {
    const fields = Object.entries(shape!).flatMap(([name, field]) => {
      const plan = textPlan(field);
      return plan ? [[name, plan] as const] : [];
    });
    return fields.length > 0 ? { is: 'object', fields } : undefined;
  }
  if (type === 'union') {
    const ways = options!.flatMap((option) => {
      const plan = textPlan(option);
      return plan ? [{ fits: fitsShape(option), plan }] : [];
    });
    return ways.length > 0 ? { is: 'either', ways } : undefined;
  }
  if (type === 'intersection') {
    const both = [textPlan(left!), textPlan(right!)].filter((plan) => plan !== undefined);
    return both.length > 0 ? { is: 'all', plans: both } : undefined;
  }
  const inner = innerType ?? from;
  return inner && textPlan(inner);
}

/** Key of an item in its list: its id, so that a text stays with it when the list is put in another order. */
function keyOf(item: unknown, place: number): string {
  const id = (item as { id?: unknown } | null)?.id;
  return typeof id === 'string' ? id : String(place);
}

const below = (path: string, name: string) => (path === '' ? name : `${path}.${name}`);

/** Calls `visit` with each text of a value, in the order in which its schema names them. Empty ones too. */
export function visitTexts(plan: TextPlan, value: unknown, visit: (text: FoundText) => void, path = ''): void {
  if (value === null || value === undefined) return;
  switch (plan.is) {
    case 'text':
      if (typeof value === 'string') visit({ path, text: value, mark: plan.mark });
      return;
    case 'object':
      for (const [name, of] of plan.fields)
        visitTexts(of, (value as Record<string, unknown>)[name], visit, below(path, name));
      return;
    case 'list':
      (value as unknown[]).forEach((item, i) => visitTexts(plan.of, item, visit, below(path, keyOf(item, i))));
      return;
    case 'record':
      for (const [name, item] of Object.entries(value)) visitTexts(plan.of, item, visit, below(path, name));
      return;
    case 'either': {
      const way = plan.ways.find(({ fits }) => fits(value));
      if (way) visitTexts(way.plan, value, visit, path);
      return;
    }
    case 'all':
      for (const each of plan.plans) visitTexts(each, value, visit, path);
      return;
    case 'later': {
      const later = plan.plan();
      if (later) visitTexts(later, value, visit, path);
    }
  }
}

/** The value with each text that `other` answers another for; the same value where it answers none. Nothing is changed in place. */
export function withTexts<T>(plan: TextPlan, value: T, other: (text: FoundText) => string | undefined, path = ''): T {
  if (value === null || value === undefined) return value;
  switch (plan.is) {
    case 'text':
      return typeof value === 'string' ? ((other({ path, text: value, mark: plan.mark }) ?? value) as T) : value;
    case 'object': {
      const fields = value as Record<string, unknown>;
      let next = fields;
      for (const [name, of] of plan.fields) {
        const before = fields[name];
        const after = withTexts(of, before, other, below(path, name));
        if (after !== before) next = { ...next, [name]: after };
      }
      return next as T;
    }
    case 'list': {
      const before = value as unknown[];
      const after = before.map((item, i) => withTexts(plan.of, item, other, below(path, keyOf(item, i))));
      return (after.some((item, i) => item !== before[i]) ? after : value) as T;
    }
    case 'record': {
      const before = Object.entries(value);
      const after = before.map(([name, item]) => withTexts(plan.of, item as unknown, other, below(path, name)));
      const isSame = after.every((item, i) => item === before[i]![1]);
      return isSame ? value : (Object.fromEntries(before.map(([name], i) => [name, after[i]])) as T);
    }
    case 'either': {
      const way = plan.ways.find(({ fits }) => fits(value));
      return way ? withTexts(way.plan, value, other, path) : value;
    }
    case 'all':
      return plan.plans.reduce((next, each) => withTexts(each, next, other, path), value);
    case 'later': {
      const later = plan.plan();
      return later ? withTexts(later, value, other, path) : value;
    }
  }
}
