import { format, isToday } from 'date-fns';

/** "today, 14:05", "3 March, 14:05" */
export function dayWords(at: string): string {
  const moment = new Date(at);
  return isToday(moment) ? format(moment, "'today,' HH:mm") : format(moment, 'd MMMM, HH:mm');
}
