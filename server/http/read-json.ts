import express, { type RequestHandler } from 'express';
import { refusals } from '../shared/refusals';
import { problemTypes } from '../../contract/problem';
import { ProblemError } from '../shared/problem';

/** Deepest nesting of lists and objects in a request. */
const MOST_DEPTH = 40;

const [QUOTE, BACKSLASH] = [0x22, 0x5c];
const OPENING = new Set([0x5b, 0x7b]);
const CLOSING = new Set([0x5d, 0x7d]);

/** Is JSON nested deeper than may be? One pass over the bytes, without recursion. */
function isTooDeep(json: Uint8Array): boolean {
  let depth = 0;
  let isInText = false;
  for (let i = 0; i < json.length; i++) {
    const byte = json[i]!;
    if (isInText) {
      if (byte === BACKSLASH) i++;
      else if (byte === QUOTE) isInText = false;
    } else if (byte === QUOTE) isInText = true;
    else if (OPENING.has(byte)) {
      if (++depth > MOST_DEPTH) return true;
    } else if (CLOSING.has(byte)) depth--;
  }
  return false;
}

/**
 * Reads the JSON of a request, of at most so many bytes. What is compressed is refused, since a few bytes of it can become
 * very many; so is what is nested too deep.
 */
export function readJson(limit: string): RequestHandler {
  return express.json({
    limit,
    inflate: false,
    verify: (_request, _response, bytes) => {
      if (isTooDeep(bytes))
        throw new ProblemError({ type: problemTypes.invalid, title: refusals.nestedTooDeep, status: 400 });
    },
  });
}
