import { spawn } from 'node:child_process';
import { runOrStop } from './run.mjs';

/** Server that restarts, storefront that rebuilds, desk with live reload at http://localhost:5173/desk/. */
runOrStop('npx', ['tsx', 'demo/seed.ts']);
const children = [
  ['tsx', 'watch', 'server/app/main.ts'],
  ['vite', 'build', '--watch', '--config', 'vite.shop.ts', '--logLevel', 'warn'],
  ['vite', '--config', 'vite.desk.ts'],
].map((args) => spawn('npx', args, { stdio: 'inherit' }));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((child) => child.kill(signal)));
