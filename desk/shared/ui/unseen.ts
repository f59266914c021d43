import type { Life } from '../../../contract/goods';
import type { GroupLife } from '../../../contract/groups';

const words: Partial<Record<Life | GroupLife, string>> = {
  draft: 'it is a draft',
  off: 'it is off the shop',
  waiting: 'it waits for its day',
  ended: 'its days are over',
  new: 'it comes with the next edition',
};

/** Why shoppers cannot see what the shop window shows now; null where they can. */
export function unseenWords(what: string, life: Life | GroupLife): string | null {
  const why = words[life];
  return why === undefined ? null : `Shoppers cannot see this ${what}: ${why}.`;
}
