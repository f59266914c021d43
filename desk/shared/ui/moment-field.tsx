import { localOfMoment, momentFromLocal } from '../../../core/shared/moment';
import { TextField } from './field';

interface Props {
  label: string;
  /** UTC; null when there is none */
  value: string | null;
  timeZone: string;
  error?: string;
  unsaved?: boolean;
  change: (moment: string | null) => void;
}

/** A day and a time, typed and shown in the shop's time zone. */
export function MomentField({ label, value, timeZone, error, unsaved, change }: Props) {
  return (
    <TextField
      label={label}
      type="datetime-local"
      error={error}
      unsaved={unsaved}
      value={value === null ? '' : localOfMoment(value, timeZone)}
      onChange={(event) => {
        const { value: local, validity } = event.target;
        // A day that is half typed reads as empty too, but is not meant to be.
        if (local === '' && !validity.badInput) change(null);
        else {
          const moment = momentFromLocal(local, timeZone);
          if (moment !== null) change(moment);
        }
      }}
      className="!w-[11.5rem] !px-2"
    />
  );
}
