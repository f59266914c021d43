import { spawn, spawnSync } from 'node:child_process';

/** Runs a command in view; answers its exit code. */
export function run(command, args, options = {}) {
  return spawnSync(command, args, { stdio: 'inherit', shell: process.platform === 'win32', ...options }).status ?? 1;
}

/** Runs a command in view and ends with its code when it fails. */
export function runOrStop(command, args, options) {
  const code = run(command, args, options);
  if (code !== 0) process.exit(code);
}

/** Runs a command in view and also answers what it printed. */
export function runAndRead(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio: ['inherit', 'pipe', 'pipe'], ...options });
    let text = '';
    for (const [from, to] of [
      [child.stdout, process.stdout],
      [child.stderr, process.stderr],
    ])
      from.on('data', (chunk) => {
        text += chunk;
        to.write(chunk);
      });
    child.on('close', (code) => resolve({ code: code ?? 1, text }));
  });
}
