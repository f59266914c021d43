import { usualVisits } from '../../../../core/model/visit-model';
import type { DeskHelp } from '../topic';

const { home, listing, product, search, leave, row, aside } = usualVisits;

export const shopfront: DeskHelp = {
  name: 'Shopfront',
  at: ['/shopfront', '/set-up'],
  topics: [
    {
      key: 'pages',
      title: 'Pages and their sections',
      words: [
        'A page is made of sections: a hero, a row of goods, text, pictures. A row takes its goods from a category, a shelf, a rule or your hand; it says how many, in how many columns, and in which order.',
        'While you build, the page tells what is not right: fewer goods than columns, the same goods twice, sold-out goods in front.',
      ],
      drawing: 'shelf',
      to: { at: '/shopfront', words: 'Go to the pages' },
    },
    {
      key: 'window',
      title: 'The shop window',
      words: [
        'The shop beside your work is the real shop, drawn from your working copy at every key. Look at it wide and as on a phone, on any day to come, or as an older edition had it. W puts it away.',
      ],
    },
    {
      key: 'menus',
      title: 'Menus',
      words: [
        'Drag an entry to move it, and a little to the side to put it under another. A category in no menu is a loose end: hardly anybody finds it.',
      ],
      to: { at: '/shopfront?view=menu', words: 'Go to the menus' },
    },
    {
      key: 'floor-plan',
      title: 'The floor plan',
      words: [
        'All pages of the shop drawn small, with what stands on each, and how many clicks they are from the home page.',
      ],
      to: { at: '/shopfront?view=floor', words: 'Open the floor plan' },
    },
    {
      key: 'exposure',
      title: 'Exposure: how a visit is modelled',
      words: [
        'Exposure is the share of visits that see a product at least once. Until enough visits were counted it is worked out from a model, which you can tune.',
        `To begin with, a visit is taken to start at the home page (${home} %), a listing (${listing} %), a product page (${product} %) or the search (${search} %). Of those who see one row of a page, ${row} % see the next; in a row that scrolls sideways, ${aside} % of those who see a card past the edge see the one after it.`,
        `From each page the visit goes on along links, in proportion to how much they are seen, or ends: ${leave} % do. A page with at least 200 counted visits uses those instead.`,
      ],
      drawing: 'places',
      to: { at: '/shopfront?view=exposure', words: 'Look at the exposure' },
    },
    {
      key: 'look',
      title: 'The look',
      words: [
        'Colours, type, corners, cards, badges, layouts of listings and product pages are set once for the whole shop. Colours that could not be read are told, with the nearest that can.',
      ],
      to: { at: '/shopfront?view=look', words: 'Change the look' },
    },
    {
      key: 'opening',
      title: 'Open or closed',
      words: [
        'A new shop is closed: only you see it. It can let in those who know a password, with a message for everybody else. Owners open it.',
      ],
      to: { at: '/shopfront?view=settings&part=opening', words: 'Open or close the shop' },
    },
    {
      key: 'people',
      title: 'Who may do what',
      words: [
        'Owners may do everything. Helpers may do all but let others in and open or close the shop. Translators change texts in their languages. Makers see their own goods only and propose changes.',
        'Two people at once see where the other is, and which fields the other has not saved yet. If both change the same field, nothing is overwritten: you are asked.',
      ],
      to: { at: '/shopfront?view=settings&part=people', words: 'Invite somebody' },
    },
  ],
};
