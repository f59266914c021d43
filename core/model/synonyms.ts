import { z } from 'zod';

const phrase = z.string().trim().min(1).max(60, 'At most 60 characters.');
const phrases = z.array(phrase).max(20, 'At most 20 words in one line.');

/** Words and short phrases that mean the same to whoever searches; or, one way, that a search for some finds others too. */
export const synonymLineSchema = z.union([phrases, z.strictObject({ from: phrases.min(1), to: phrases.min(1) })]);
export type SynonymLine = z.infer<typeof synonymLineSchema>;
