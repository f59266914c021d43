/** What becomes of a field once `sent` has arrived: it is empty, unless something else was typed into it meanwhile. */
export const emptied =
  (sent: string) =>
  (now: string): string =>
    now === sent ? '' : now;
