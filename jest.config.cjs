module.exports = {
  // A busy machine may take long over 40 MB; what hangs is still found.
  testTimeout: 60_000,
  testEnvironment: 'node',
  // The desk's tests may stand before a real server, so packages are those of Node there too.
  testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'] },
  roots: [
    '<rootDir>/core',
    '<rootDir>/contract',
    '<rootDir>/server',
    '<rootDir>/shop',
    '<rootDir>/desk',
    '<rootDir>/demo',
  ],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  maxWorkers: 2,
  setupFiles: ['<rootDir>/desk/testing/set-up.ts'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
};
