/** What rows are to do. */
export const importWays = ['both', 'add', 'update', 'delete'] as const;
export type ImportWay = (typeof importWays)[number];
