import type { z } from 'zod';

/** Refuses a list in which something stands twice, at its second place. */
export const repeatedEntry =
  (message: string) =>
  ({ value, issues }: z.core.ParsePayload<readonly (string | number)[]>): void => {
    const at = value.findIndex((each, i) => value.indexOf(each) !== i);
    if (at >= 0) issues.push({ code: 'custom', message, path: [at], input: value });
  };
