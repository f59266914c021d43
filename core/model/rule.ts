import { z } from 'zod';

/** Deepest nesting of groups, and most conditions, that one rule may have. */
export const MAX_RULE_DEPTH = 10;
const MAX_RULE_CONDITIONS = 200;

const operators = [
  'contains',
  'starts',
  'anyOf',
  'noneOf',
  'below',
  'atMost',
  'equals',
  'atLeast',
  'above',
  'between',
  'before',
  'after',
  'inLast',
  'yes',
  'no',
  'filled',
  'empty',
] as const;
export const operatorSchema = z.enum(operators);
export type Operator = z.infer<typeof operatorSchema>;

const conditionSchema = z.strictObject({
  field: z.string().min(1).max(80),
  is: operatorSchema,
  value: z.union([
    z.string().max(200),
    z.number().finite(),
    z.array(z.string().max(80)).max(200),
    z.tuple([z.number().finite(), z.number().finite()]),
    z.null(),
  ]),
});
/** One test of one field, such as price below 2500. */
export type Condition = z.infer<typeof conditionSchema>;

const matchSchema = z.enum(['all', 'any', 'none']);
export type Match = z.infer<typeof matchSchema>;

const variantGroupSchema = z.strictObject({
  variants: z.enum(['some', 'every']),
  match: matchSchema,
  of: z.array(conditionSchema).max(MAX_RULE_CONDITIONS),
});
/** Conditions that must hold together on the same variant: of some variant, or of every one. */
export type VariantGroup = z.infer<typeof variantGroupSchema>;

/** A tree of conditions that says which products. A group without conditions takes in nothing. */
export interface Rule {
  match: Match;
  of: (Condition | VariantGroup | Rule)[];
}

const groupSchema: z.ZodType<Rule> = z.lazy(() =>
  z.strictObject({
    match: matchSchema,
    of: z.array(z.union([conditionSchema, variantGroupSchema, groupSchema])).max(MAX_RULE_CONDITIONS),
  }),
);

/** Groups and conditions together. */
const MOST_NODES = 2 * MAX_RULE_CONDITIONS;

/** What of plain JSON stops it from being a rule before it is looked at closer; counted without recursion. */
function overload(value: unknown): string | undefined {
  let level: unknown[] = [value];
  let nodes = 0;
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > MAX_RULE_DEPTH) return `Groups can be at most ${MAX_RULE_DEPTH} deep.`;
    nodes += level.length;
    if (nodes > MOST_NODES) return `A rule can hold at most ${MAX_RULE_CONDITIONS} conditions.`;
    level = level.flatMap((node) =>
      typeof node === 'object' && node !== null && Array.isArray((node as { of?: unknown }).of)
        ? (node as { of: unknown[] }).of
        : [],
    );
  }
  return undefined;
}

export const ruleSchema: z.ZodType<Rule> = z
  .unknown()
  .superRefine((value, context) => {
    const message = overload(value);
    if (message !== undefined) context.addIssue({ code: 'custom', message, continue: false });
  })
  .pipe(groupSchema)
  .superRefine((rule, context) => {
    if (conditionsOf(rule).length > MAX_RULE_CONDITIONS)
      context.addIssue({ code: 'custom', message: `A rule can hold at most ${MAX_RULE_CONDITIONS} conditions.` });
  });

export const EMPTY_RULE: Rule = { match: 'all', of: [] };

export type RuleNode = Condition | VariantGroup | Rule;

export function isCondition(node: RuleNode): node is Condition {
  return 'field' in node;
}

export function isVariantGroup(node: RuleNode): node is VariantGroup {
  return 'variants' in node;
}

export interface PlacedCondition {
  condition: Condition;
  /** place in the tree: indexes of `of` from the root down */
  path: number[];
  /** true inside a variant group */
  onVariant: boolean;
}

/** Every condition of the rule, in reading order. */
export function conditionsOf(rule: Rule): PlacedCondition[] {
  const found: PlacedCondition[] = [];
  const walk = (node: RuleNode, path: number[], onVariant: boolean) => {
    if (isCondition(node)) found.push({ condition: node, path, onVariant });
    else node.of.forEach((child, i) => walk(child, [...path, i], onVariant || isVariantGroup(node)));
  };
  walk(rule, [], false);
  return found;
}
