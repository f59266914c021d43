import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { PartedDesk } from '../../shared/ui/parted-desk';
import { Backups } from './backups';
import { BringIn } from './bring-in';
import { Channels } from './channels';
import { ImportPage } from './import-page';
import { Keys } from './keys';
import { TakeOut } from './take-out';

const parts: readonly { part: string; words: string; draw: () => ReactNode }[] = [
  { part: 'in', words: 'Bring goods in', draw: () => <BringIn /> },
  { part: 'out', words: 'Take goods out', draw: () => <TakeOut /> },
  { part: 'channels', words: 'Channels', draw: () => <Channels /> },
  { part: 'keys', words: 'Keys', draw: () => <Keys /> },
  { part: 'backups', words: 'Backups', draw: () => <Backups /> },
];

/** Goods that come in and go out, and copies of the whole shop. */
export function ExchangePage() {
  const { id } = useParams();
  if (id) return <ImportPage key={id} id={id} />;
  return <PartedDesk name="Exchange" at="/exchange" parts={parts} />;
}
