import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import boundaries from 'eslint-plugin-boundaries';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import { forTests, rooms, subjectsAsked } from './rooms.js';

const anyOf = (types) => ({ element: { types: { anyOf: types } } });

/** Imports point down only, as rooms.js draws it. */
const boundariesOfRooms = {
  files: ['**/*.{ts,tsx}'],
  plugins: { boundaries },
  settings: {
    'import/resolver': { typescript: { alwaysTryTypes: true } },
    'boundaries/elements': Object.keys(rooms).map((folder) => ({
      type: folder,
      partialMatch: false,
      pattern: [folder, `${folder}/**`],
    })),
    'boundaries/files': [
      { category: 'test', pattern: '**/*.test.{ts,tsx}' },
      // What a subject of the server offers to others.
      { category: 'offered', pattern: 'server/*/{queries,checks}.ts' },
    ],
  },
  rules: {
    'boundaries/dependencies': [
      'error',
      {
        default: 'disallow',
        message: '{{from.element.type}} may not import {{to.element.type}}: see rooms.js.',
        policies: [
          ...Object.entries(rooms).map(([from, to]) => ({ from: anyOf([from]), allow: { to: anyOf([from, ...to]) } })),
          ...Object.entries(subjectsAsked).map(([from, to]) => ({
            from: anyOf([from]),
            allow: { to: { ...anyOf(to), file: { categories: 'offered' } } },
          })),
          { from: { file: { categories: 'test' } }, allow: { to: anyOf(forTests) } },
        ],
      },
    ],
  },
};

export default tseslint.config(
  { ignores: ['.mutation/**', 'dist/**', 'data/**', 'node_modules/**', 'test-results/**'] },
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
    // What only the types tell: promises that nobody waits for, and cases that were forgotten.
    files: ['**/*.{ts,tsx}'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
      '@typescript-eslint/no-unnecessary-type-assertion': 'error',
    },
  },
  { files: ['{desk,shop}/**/*.tsx'], ...jsxA11y.flatConfigs.recommended },
  {
    files: ['{desk,shop}/**/*.tsx'],
    rules: {
      // A field that opens because somebody asked for it takes the cursor.
      'jsx-a11y/no-autofocus': 'off',
      // `role` says what it means on elements; parts of ours have props of that name.
      'jsx-a11y/aria-role': ['error', { ignoreNonDOM: true }],
      // A separator that is moved, and a list that scrolls, have to be reached by keys.
      'jsx-a11y/no-noninteractive-tabindex': ['error', { roles: ['separator', 'tabpanel', 'list'], tags: ['ul'] }],
      'jsx-a11y/no-noninteractive-element-interactions': 'off',
      // The grid itself holds the focus and says which row is active.
      'jsx-a11y/interactive-supports-focus': 'off',
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['react', 'react-*', 'express', 'better-sqlite3', 'node:*', 'sharp'],
              message: 'core/ is pure TypeScript.',
            },
          ],
        },
      ],
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
  boundariesOfRooms,
);
