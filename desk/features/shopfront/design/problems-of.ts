import type { z } from 'zod';

/** What is wrong with a value, by the path of each field, such as “badges.0.words”. */
export function problemsOf(schema: z.ZodType, value: unknown): Readonly<Record<string, string>> {
  const read = schema.safeParse(value);
  if (read.success) return {};
  return Object.fromEntries(read.error.issues.map(({ path, message }) => [path.join('.'), message]));
}
