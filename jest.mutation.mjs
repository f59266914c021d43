import shared from './jest.config.cjs';

/** The tests that mutations are asked of: those that stand beside what is broken, which are quick. */
export default {
  ...shared,
  setupFiles: [],
  setupFilesAfterEnv: [],
  coverageThreshold: undefined,
  roots: ['<rootDir>/core/pricing', '<rootDir>/core/products', '<rootDir>/core/bulk', '<rootDir>/core/shop'],
  testMatch: ['**/{pricing,products,bulk}/**/*.test.ts', '**/shop/bundle.test.ts'],
};
