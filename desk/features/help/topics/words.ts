import type { DeskHelp } from '../topic';

export const words: DeskHelp = {
  name: 'Words',
  at: ['/words'],
  topics: [
    {
      key: 'languages',
      title: 'Languages',
      words: [
        'Add a language, and everything that shoppers read is listed for it: missing, drafted, done, or changed since it was translated. Keys lead from one missing text to the next.',
        'What was translated before is offered again with its differences marked; a glossary warns when a term was translated otherwise.',
      ],
      to: { at: '/words', words: 'Go to the languages' },
    },
    {
      key: 'searched',
      title: 'What shoppers search',
      words: [
        'Words are counted by day, without anything about the person. What found nothing is listed first; with one click it becomes a synonym, a forward, a collection or a note of a product that you miss.',
      ],
      to: { at: '/words?part=searched', words: 'See what was searched' },
    },
    {
      key: 'engines',
      title: 'What search engines see',
      words: [
        'Categories and collections may be shown by search engines; listings of tags and filters are kept from them until you choose some. A chosen one gets an address, a title and a text of its own.',
        'Settings that contradict each other are listed, each with its mend.',
      ],
      to: { at: '/words?part=engines', words: 'Look at the search engines' },
    },
    {
      key: 'forwards',
      title: 'Forwards',
      words: [
        'An address that changes forwards to the new one by itself, for good. Addresses that were asked for and do not exist are listed with the nearest page.',
      ],
      to: { at: '/words?part=forwards', words: 'Go to the forwards' },
    },
  ],
};
