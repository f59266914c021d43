import type { RequestInput } from '../../data/bulk';

/** What the form of a bulk action is given. */
export interface FormProps {
  /** told what is asked for; undefined while it is not filled in */
  change: (request: RequestInput | undefined) => void;
  timeZone: string;
}
