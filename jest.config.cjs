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
  setupFilesAfterEnv: ['<rootDir>/desk/testing/patience.ts'],
  coverageProvider: 'v8',
  collectCoverageFrom: ['{core,contract,server,desk,shop}/**/*.{ts,tsx}', '!**/*.test.{ts,tsx}', '!**/testing/**'],
  // Below these no folder may fall; each is raised when more is tested. `npm run coverage` asks.
  coverageThreshold: {
    './core/': { lines: 92 },
    './contract/': { lines: 98 },
    './server/': { lines: 90 },
    './shop/': { lines: 78 },
    './desk/': { lines: 45 },
  },
  // This one comes as modules only.
  transformIgnorePatterns: ['/node_modules/(?!react-data-grid/)'],
  moduleNameMapper: { '\\.css$': '<rootDir>/desk/testing/no-style.ts' },
  transform: {
    '^.+\\.(tsx?|js)$': [
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
