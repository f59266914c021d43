import { randomInt } from 'node:crypto';
import { makeCode } from '../../core/orders/codes';

/** A code that nobody has yet. `isFree` tries to take it. */
export function freshCode(isFree: (code: string) => boolean, length?: number): string {
  for (;;) {
    const code = makeCode((below) => randomInt(below), length);
    if (isFree(code)) return code;
  }
}
