import type { ShownStatus } from '../../../contract/product';
import type { GroupShownStatus } from '../../../contract/groups';

const words: Partial<Record<ShownStatus | GroupShownStatus, string>> = {
  draft: 'it is a draft',
  off: 'it is off the shop',
  waiting: 'it waits for its day',
  ended: 'its days are over',
  new: 'it comes with the next edition',
};

/** Why shoppers cannot see what the shop window shows now; null where they can. */
export function unseenWords(what: string, shownStatus: ShownStatus | GroupShownStatus): string | null {
  const why = words[shownStatus];
  return why === undefined ? null : `Shoppers cannot see this ${what}: ${why}.`;
}
