import type { DeskHelp } from '../topic';

export const goods: DeskHelp = {
  name: 'Goods',
  at: ['/goods'],
  topics: [
    {
      key: 'find',
      title: 'Finding goods',
      words: [
        'Type into the field above the goods: a word finds by title, text, tag, SKU or barcode, and forgives a slip. After a comma comes a condition, such as “price below 40” or “stock is 0”.',
        'On the left, every field of your goods can be narrowed. What you narrowed by can be kept as a view, and the same conditions fill a collection, aim an offer or choose what goes into a file.',
      ],
      drawing: 'rule',
    },
    {
      key: 'tray',
      title: 'The tray',
      words: [
        'Pick goods up with T or by dragging, and they lie in the tray at the bottom, whichever desk you go to. There you change all of them at once: price, category, tags, standing, and much else.',
        'Each change is shown product by product before it is done, and undone with one step.',
      ],
      drawing: 'tray',
    },
    {
      key: 'variants',
      title: 'Options and variants',
      words: [
        'A product that comes in colours or sizes has options; each combination is a variant with a price, a stock count and an SKU of its own.',
        'The table of variants takes blocks that you copy from a spreadsheet. Changing options never drops a variant that has stock, an SKU or a price without asking.',
      ],
      drawing: 'variants',
    },
    {
      key: 'standing',
      title: 'Where a product stands in its life',
      words: [
        'A draft is seen by nobody. “On the shop” means that shoppers meet it from the next edition on. “Changed” is a product whose live version differs from yours.',
        'Days can be set from which and until which a product is on the shop; then it comes and goes by itself.',
      ],
      drawing: 'goods',
    },
    {
      key: 'places',
      title: 'Where it shows',
      words: [
        'Every product says in how many places of the shop it appears: sections of pages, listings, strips beside other goods. “Nowhere” is red, because nobody can buy what nobody meets.',
        'Open the product to see each place, its position there, and why it is in.',
      ],
      drawing: 'places',
    },
    {
      key: 'sheet',
      title: 'Many at once, as a sheet',
      words: [
        'A sheet shows goods as rows and fields as columns. Fill a value down, paste a block, undo inside the sheet, and save everything as one change.',
      ],
      to: { at: '/goods/sheet', words: 'Open all goods as a sheet' },
    },
  ],
};
