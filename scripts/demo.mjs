import { spawn } from 'node:child_process';
import { runOrStop } from './run.mjs';

/** Seeds the demo shop into an empty data folder, then serves it. */
const env = {
  ...process.env,
  DISPONA_DATA: process.env.DISPONA_DATA ?? 'data',
  LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
};
runOrStop(process.execPath, ['dist/server/seed.js'], { env });

const at = `http://${env.HOST ?? '127.0.0.1'}:${env.PORT ?? 4600}`;
console.log(`
  The shop, as shoppers see it:   ${at}/
  The desk, where you work:       ${at}/desk
  Sign in with:                   demo@larkandline.example
  Password:                       kites-in-the-wind
  Or, as somebody who makes some of the goods:
  Sign in with:                   maker@harbourcloth.example
  Password:                       cloth-for-the-wind
`);
const server = spawn(process.execPath, ['dist/server/main.js'], { env, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
