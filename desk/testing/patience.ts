// Screens are tested before a real server, which answers late on a busy machine.
if (typeof window !== 'undefined') {
  // Only where there is a page: the other tests need not load the library.
  // eslint-disable-next-line @typescript-eslint/no-require-imports
  const { configure } = require('@testing-library/react') as typeof import('@testing-library/react');
  configure({ asyncUtilTimeout: 15_000 });
}

export {};
