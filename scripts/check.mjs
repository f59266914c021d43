import { execFileSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { dirname } from 'node:path';
import { run } from './run.mjs';

/**
 * Types of everything; lint, format and the tests beside what changed since the last commit, or in it when nothing did.
 * Tests that reach a change from further away are many in a house where most stands on the same ground: `npm test` has them.
 */
const git = (...words) => execFileSync('git', words, { encoding: 'utf8' }).split('\n').filter(Boolean);
const uncommitted = () => [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')];
const named = uncommitted();
const changed = (named.length > 0 ? named : git('diff', '--name-only', 'HEAD~1')).filter((file) => existsSync(file));
const source = changed.filter((file) => /\.(ts|tsx|mjs|js|cjs)$/.test(file));
const tested = [
  ...new Set(
    source.filter((file) => /\.tsx?$/.test(file) && !/^(e2e|bench)\//.test(file)).map((file) => dirname(file)),
  ),
];

const steps = [
  ['types', 'npx', ['tsc', '--noEmit', '--incremental', '--tsBuildInfoFile', 'node_modules/.cache/types.tsbuildinfo']],
  source.length > 0 && [
    'lint',
    'npx',
    ['eslint', '--cache', '--cache-location', 'node_modules/.cache/eslint', ...source],
  ],
  changed.length > 0 && [
    'format',
    'npx',
    ['prettier', '--check', '--ignore-unknown', '--log-level', 'warn', ...changed],
  ],
  tested.length > 0 && [
    'tests',
    'npx',
    ['jest', '--silent', '--passWithNoTests', '--testPathPatterns', ...tested.map((folder) => `/${folder}/[^/]+$`)],
  ],
].filter(Boolean);
for (const [what, command, words] of steps)
  if (run(command, words) !== 0) {
    console.error(`The check of ${what} failed.`);
    process.exit(1);
  }
console.log(`Checked ${changed.length} changed files: ${steps.map(([what]) => what).join(', ')}.`);
