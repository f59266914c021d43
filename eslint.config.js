import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';

/** Which folders each folder may not import: imports point down only. */
const forbidden = {
  core: ['contract', 'server', 'desk', 'shop', 'demo', 'bench', 'e2e'],
  contract: ['server', 'desk', 'shop', 'demo', 'bench', 'e2e'],
  shop: ['server', 'desk', 'demo', 'bench', 'e2e'],
  desk: ['server', 'shop', 'demo', 'bench', 'e2e'],
  server: ['desk', 'demo', 'bench', 'e2e'],
  demo: ['desk', 'shop', 'bench', 'e2e'],
};

const direction = Object.entries(forbidden).map(([folder, others]) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: others.flatMap((other) => [`../${other}/*`, `../../${other}/*`, `../../../${other}/*`]),
            message: `${folder}/ may not import from a folder above it.`,
          },
          ...(folder === 'core'
            ? [
                {
                  group: ['react', 'react-*', 'express', 'better-sqlite3', 'node:*', 'sharp'],
                  message: 'core/ is pure TypeScript.',
                },
              ]
            : []),
        ],
      },
    ],
  },
}));

export default tseslint.config(
  { ignores: ['dist/**', 'data/**', 'node_modules/**', 'test-results/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      eqeqeq: ['error', 'always'],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'process', 'window', 'document', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time comes in as an argument.' },
        { object: 'Math', property: 'random', message: 'Seeds come in as arguments.' },
      ],
    },
  },
  {
    files: ['**/*.mjs', '*.cjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        module: 'writable',
        setTimeout: 'readonly',
        performance: 'readonly',
      },
    },
  },
  ...direction,
);
