import { runAndRead } from './run.mjs';

/** Runs every test, then says in one line how many passed and failed. */
const results = [];

const jest = await runAndRead('npx', ['jest', '--colors=false']);
results.push({ ...jest, passed: /^Tests:.*?(\d+) passed/m, failed: /^Tests:.*?(\d+) failed/m });

const build = await runAndRead('npm', ['run', '-s', 'build']);
if (build.code !== 0) results.push({ ...build, passed: /$^/, failed: /$^/ });
else {
  const walks = await runAndRead('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], {
    env: { ...process.env, FORCE_COLOR: '0' },
  });
  results.push({ ...walks, passed: /^\s*(\d+) passed/m, failed: /^\s*(\d+) failed/m });
}

const sum = (key) => results.reduce((total, result) => total + Number(result[key]?.exec(result.text)?.[1] ?? 0), 0);
const isBad = results.some((result) => result.code !== 0);
// A run that breaks before it counts anything is a failure too.
const failed = Math.max(sum('failed'), isBad ? 1 : 0);
console.log(`tests: ${sum('passed')} passed, ${failed} failed`);
process.exit(isBad ? 1 : 0);
