import { rateLimit } from 'express-rate-limit';
import { problemTypes } from '../../contract/problem';
import { ProblemError } from '../shared/problem';
import { refusals } from '../shared/refusals';

export const tooMany = () =>
  new ProblemError({
    type: problemTypes.tooMany,
    title: refusals.tooManyAttempts,
    status: 429,
  });

/** Refuses, in words, more requests from one place within so many milliseconds than `limit`. */
export const limitRequests = (windowMs: number, limit: number) =>
  rateLimit({
    windowMs,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw tooMany();
    },
  });
