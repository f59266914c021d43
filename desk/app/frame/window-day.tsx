import { Button } from '../../shared/ui/button';
import { MomentField } from '../../shared/ui/moment-field';

interface Props {
  moment: string | null;
  timeZone: string;
  show: (moment: string | null) => void;
  close: () => void;
}

/** The day on which the shop window shows the shop. */
export default function WindowDay({ moment, timeZone, show, close }: Props) {
  const isOver = moment !== null && Date.parse(moment) < Date.now();
  return (
    <div className="mx-3 mb-2 flex flex-wrap items-end gap-2">
      <MomentField
        label="As it will be on"
        value={moment}
        timeZone={timeZone}
        change={show}
        error={isOver ? 'Choose a day to come.' : undefined}
      />
      <Button onClick={close}>Back to now</Button>
    </div>
  );
}
