import { existsSync, statSync } from 'node:fs';
import { run, runOrStop } from './run.mjs';

/** Makes a fresh machine ready: packages by npm ci when they are missing or older than the lock file; Chromium on request. */
const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(`Dispona needs Node 20.19 or newer; this is ${process.version}.`);
  process.exit(1);
}

const installed = 'node_modules/.package-lock.json';
if (!existsSync(installed) || statSync(installed).mtimeMs < statSync('package-lock.json').mtimeMs) {
  console.log('Installing packages …');
  // A lock file made on one platform may lack the optional packages of others, which npm ci then refuses.
  if (run('npm', ['ci', '--no-audit', '--no-fund', '--silent']) !== 0)
    runOrStop('npm', ['install', '--no-save', '--no-audit', '--no-fund']);
}

const chromium = process.env.CHROMIUM ?? '/usr/bin/chromium';
if (process.argv.includes('--browser') && !existsSync(chromium)) {
  const canInstall = process.platform === 'linux' && process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (canInstall) {
    console.log('Installing Chromium …');
    run('apt-get', ['update', '-qq']);
    run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
  }
  if (!existsSync(chromium)) {
    console.error(
      `The tests of the real interface need Chromium at ${chromium}. Install Debian's package "chromium", or set CHROMIUM to where it is.`,
    );
    process.exit(1);
  }
}
