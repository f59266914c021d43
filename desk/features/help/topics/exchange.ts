import type { DeskHelp } from '../topic';

export const exchange: DeskHelp = {
  name: 'Exchange',
  at: ['/exchange'],
  topics: [
    {
      key: 'import',
      title: 'Bringing goods in from a file',
      words: [
        'Drop any spreadsheet. Its columns are matched to fields by name and by what they look like; you see each cell as it is and as it will be, and mend mistakes where they stand.',
        'Nothing happens until you say so. It is one change, and one undo takes it back.',
      ],
      to: { at: '/exchange', words: 'Bring goods in' },
    },
    {
      key: 'export',
      title: 'Taking goods out',
      words: [
        'Goods go out as CSV, XLSX or JSON, with the columns you choose, one for each language if you like. What went out comes back in without a change.',
      ],
      to: { at: '/exchange?part=out', words: 'Take goods out' },
    },
    {
      key: 'backups',
      title: 'Backups',
      words: [
        'A backup is one file with everything: goods, pictures, editions, history. It is made while the shop runs, checked, and can be brought back into an empty shop. Every night, if you like.',
      ],
      to: { at: '/exchange?part=backups', words: 'Make a backup' },
    },
    {
      key: 'channels',
      title: 'Channels, other sites and programs',
      words: [
        'Feeds hand your goods to other places that sell; strips of goods stand in any other website; keys let programs read. All three show what your live shop shows.',
      ],
      to: { at: '/exchange?part=channels', words: 'Go to the channels' },
    },
  ],
};
