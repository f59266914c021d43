import { isDeepStrictEqual } from 'node:util';
import type { Route } from '../../contract/route';
import { ReadyJson } from '../http/ready-json';

/** An answer is not what its contract says. */
class BrokenContractError extends Error {}

/** Holds an answer against the contract of its route: nothing is missing, and nothing is there that is not told. */
export function checkAnswer(route: Route, answer: unknown): void {
  const text = answer instanceof ReadyJson ? answer.bytes.toString() : JSON.stringify(answer);
  const sent: unknown = JSON.parse(text);
  const read = route.answer.safeParse(sent);
  const where = `${route.method} ${route.path}`;
  if (!read.success) throw new BrokenContractError(`${where}: ${read.error.message}`);
  const told: unknown = JSON.parse(JSON.stringify(read.data));
  if (!isDeepStrictEqual(told, sent))
    throw new BrokenContractError(`${where} answers more than it says: ${difference(sent, told)}`);
}

/** The first place at which the sent answer holds more than the told one. */
function difference(sent: unknown, told: unknown, path = ''): string {
  if (typeof sent !== 'object' || sent === null || typeof told !== 'object' || told === null)
    return `${path || 'all'}: ${JSON.stringify(sent)} and ${JSON.stringify(told)}`;
  for (const key of Object.keys(sent)) {
    const [a, b] = [(sent as Record<string, unknown>)[key], (told as Record<string, unknown>)[key]];
    if (!isDeepStrictEqual(a, b)) return difference(a, b, `${path}.${key}`);
  }
  return path;
}
