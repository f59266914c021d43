import { toast } from 'sonner';
import { CallError, wordsOf } from '../../../data/api';

const messageOf = (error: unknown) =>
  error instanceof CallError && error.errors[0] ? error.errors[0].message : wordsOf(error);
/** Says why something was refused, where no field stands for it. */
export const fail = (error: unknown) => void toast.error(messageOf(error));
