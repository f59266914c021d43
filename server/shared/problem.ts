import { refusals } from './refusals';
import { problemTypes, type FieldError, type Problem } from '../../contract/problem';

/** A refusal that the caller is told about, as RFC 9457 problem details. */
export class ProblemError extends Error {
  constructor(readonly problem: Problem) {
    super(problem.title);
  }
}

/** The request asks for something that cannot be; told at the fields. */
export function invalid(errors: FieldError[], title = refusals.someCannotBeSaved): ProblemError {
  return new ProblemError({ type: problemTypes.invalid, title, status: 422, errors });
}

/** One field is wrong. */
export function invalidField(path: FieldError['path'], message: string): ProblemError {
  return invalid([{ path, message }], message);
}

export function notFound(title: string): ProblemError {
  return new ProblemError({ type: problemTypes.notFound, title, status: 404 });
}

/** Somebody else changed the same fields since. */
export function clash(errors: FieldError[]): ProblemError {
  return new ProblemError({
    type: problemTypes.clash,
    title: refusals.changedMeanwhile,
    status: 409,
    detail: refusals.nothingIsLost,
    errors,
  });
}

/** The write would lose something and was not confirmed. */
export function needsConfirmation(title: string, detail: string): ProblemError {
  return new ProblemError({ type: problemTypes.confirm, title, status: 409, detail });
}
