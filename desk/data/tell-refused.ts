import { toast } from 'sonner';
import { CallError, wordsOf } from './api';

/** Why a write was refused: the reason at its field says more than the title. */
export const refusalOf = (error: unknown): string =>
  error instanceof CallError && error.errors[0] ? error.errors[0].message : wordsOf(error);

/** Tells of a refused write at the edge of the screen, where it has no field of its own to stand at. */
export const tellRefused = (error: unknown): void => void toast.error(refusalOf(error));
