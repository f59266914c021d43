import { doneWords, written, type Done } from './done';

const title = 'Harrier delta';
const name = 'Light wind';
/** One of each thing that can be done, with the words for it. A new one has to be added here. */
const examples: { [Key in Done['did']]: [Extract<Done, { did: Key }>, words: string] } = {
  written: [{ did: 'written', words: 'As an older version put it' }, 'As an older version put it'],
  shopSetUp: [{ did: 'shopSetUp' }, 'Set the shop up'],
  visitModelChanged: [{ did: 'visitModelChanged' }, 'Changed what is taken for true of a visit'],
  settingsChanged: [{ did: 'settingsChanged' }, 'Changed the settings of the shop'],
  takenBack: [{ did: 'takenBack', title }, 'Took back what was not live of “Harrier delta”'],
  broughtBack: [{ did: 'broughtBack', title, edition: 4 }, 'Brought “Harrier delta” back from edition 4'],
  menuChanged: [{ did: 'menuChanged' }, 'Changed the menu'],
  legalPagesAdded: [{ did: 'legalPagesAdded', count: 3 }, 'Added 3 legal pages'],
  offerAdded: [{ did: 'offerAdded', name: 'Norrwind week' }, 'Made the offer “Norrwind week”'],
  offerChanged: [{ did: 'offerChanged', name: 'Norrwind week' }, 'Changed the offer “Norrwind week”'],
  embedAdded: [{ did: 'embedAdded', name: 'Club page' }, 'Made “Club page” for other sites'],
  embedChanged: [{ did: 'embedChanged', name: 'Club page' }, 'Changed “Club page” on other sites'],
  embedDeleted: [{ did: 'embedDeleted', name: 'Club page' }, 'Took “Club page” off other sites'],
  feedAdded: [{ did: 'feedAdded', name: 'All kites' }, 'Made the feed “All kites”'],
  feedChanged: [{ did: 'feedChanged', name: 'All kites' }, 'Changed the feed “All kites”'],
  feedDeleted: [{ did: 'feedDeleted', name: 'All kites' }, 'Deleted the feed “All kites”'],
  offerDeleted: [{ did: 'offerDeleted', name: 'Norrwind week' }, 'Deleted the offer “Norrwind week”'],
  codesAdded: [{ did: 'codesAdded', name: 'Norrwind week', count: 3 }, 'Made 3 codes for “Norrwind week”'],
  codesDeleted: [{ did: 'codesDeleted', name: 'Norrwind week', count: 1 }, 'Deleted one code of “Norrwind week”'],
  examplesAdded: [{ did: 'examplesAdded', count: 6 }, 'Added 6 example products'],
  examplesRemoved: [{ did: 'examplesRemoved', count: 1 }, 'Removed one example product'],
  productAdded: [{ did: 'productAdded', title }, 'Added “Harrier delta”'],
  productChanged: [
    { did: 'productChanged', title, fields: ['metaTitle', 'goesWith'] },
    'Changed meta title, goes with of “Harrier delta”',
  ],
  statusChanged: [{ did: 'statusChanged', title, status: 'off' }, 'Took “Harrier delta” off the shop'],
  variantsChanged: [
    { did: 'variantsChanged', title, fields: ['price', 'sku'] },
    'Changed price, SKU of “Harrier delta”',
  ],
  optionsChanged: [{ did: 'optionsChanged', title }, 'Changed options of “Harrier delta”'],
  productDeleted: [{ did: 'productDeleted', title }, 'Deleted “Harrier delta”'],
  productCopied: [{ did: 'productCopied', title }, 'Copied “Harrier delta”'],
  partsCopied: [{ did: 'partsCopied', title, count: 1 }, 'Copied parts of “Harrier delta” to one product'],
  relatedBack: [{ did: 'relatedBack', title, from: 'Tern' }, 'Let “Tern” lead to “Harrier delta”'],
  productsMerged: [{ did: 'productsMerged', title, count: 3 }, 'Merged 3 products into “Harrier delta”'],
  productSplit: [{ did: 'productSplit', title, count: 2 }, 'Split “Harrier delta” into 2 products'],
  featuredOrdered: [{ did: 'featuredOrdered' }, 'Changed the order of featured products'],
  fileAdded: [{ did: 'fileAdded', title, name: 'plan.pdf' }, 'Added the file “plan.pdf” to “Harrier delta”'],
  picturesAdded: [{ did: 'picturesAdded', title, count: 1 }, 'Added a picture to “Harrier delta”'],
  pictureReplaced: [{ did: 'pictureReplaced', title }, 'Replaced a picture of “Harrier delta”'],
  picturesChanged: [{ did: 'picturesChanged', title }, 'Changed pictures of “Harrier delta”'],
  stockMoved: [
    { did: 'stockMoved', title, reason: 'damaged', note: 'rain' },
    'Damaged or lost: stock of “Harrier delta”, rain',
  ],
  bulk: [
    { did: 'bulk', request: { do: 'tags', how: 'add', ids: ['t_000001'] }, count: 1_200 },
    'Added tags of 1,200 products',
  ],
  imported: [
    { did: 'imported', file: 'goods.csv', added: 2, changed: 1, deleted: 0 },
    'Imported “goods.csv”: added 2 products, changed one product',
  ],
  sheetSaved: [{ did: 'sheetSaved', cells: 1, count: 1 }, 'Changed one cell of one product in a sheet'],
  groupAdded: [{ did: 'groupAdded', kind: 'tag', name }, 'Added tag “Light wind”'],
  groupChanged: [{ did: 'groupChanged', kind: 'brand', name }, 'Changed brand “Light wind”'],
  groupRenamed: [{ did: 'groupRenamed', kind: 'tag', name, from: 'Calm' }, 'Renamed tag “Calm” to “Light wind”'],
  groupPictured: [{ did: 'groupPictured', kind: 'category', name }, 'Changed the picture of category “Light wind”'],
  groupMerged: [{ did: 'groupMerged', kind: 'tag', name, into: 'Calm' }, 'Merged tag “Light wind” into “Calm”'],
  groupDeleted: [{ did: 'groupDeleted', kind: 'collection', name }, 'Deleted collection “Light wind”'],
  categoryMoved: [{ did: 'categoryMoved', name }, 'Moved category “Light wind”'],
  productsPut: [{ did: 'productsPut', name, count: 2 }, 'Put 2 products into “Light wind”'],
  productsPinned: [{ did: 'productsPinned', name, count: 1 }, 'Pinned one product in “Light wind”'],
  collectionFrozen: [{ did: 'collectionFrozen', name }, 'Froze collection “Light wind”'],
  collectionFilled: [{ did: 'collectionFilled', name }, 'Rule fills “Light wind” again'],
  collectionsOrdered: [{ did: 'collectionsOrdered' }, 'Put the shelves in order'],
  pageCopied: [{ did: 'pageCopied', title }, 'Copied the page “Harrier delta”'],
  pageAdded: [{ did: 'pageAdded', title }, 'Added page “Harrier delta”'],
  pageChanged: [{ did: 'pageChanged', title }, 'Changed page “Harrier delta”'],
  pageDeleted: [{ did: 'pageDeleted', title }, 'Deleted page “Harrier delta”'],
  translated: [
    { did: 'translated', language: 'German', name: 'Harrier delta', count: 2, things: 1 },
    'Translated 2 texts of “Harrier delta” into German',
  ],
  translationsDrafted: [{ did: 'translationsDrafted', language: 'German', count: 1 }, 'Drafted one text in German'],
  draftsDropped: [{ did: 'draftsDropped', language: 'German', count: 3 }, 'Dropped 3 drafts in German'],
  languagesChanged: [{ did: 'languagesChanged' }, 'Changed the languages of the shop'],
  forwardsChanged: [{ did: 'forwardsChanged', count: 1 }, 'Changed one forward'],
  listingChosen: [{ did: 'listingChosen', name }, 'Chose the listing “Light wind” for search engines'],
  chosenChanged: [{ did: 'chosenChanged', name }, 'Changed the listing “Light wind” for search engines'],
  chosenDropped: [{ did: 'chosenDropped', name }, 'No longer shows the listing “Light wind” to search engines'],
  indexChanged: [{ did: 'indexChanged', name, shown: false }, 'Keeps “Light wind” from search engines'],
  supplierAdded: [{ did: 'supplierAdded', name }, 'Added the supplier “Light wind”'],
  supplierChanged: [{ did: 'supplierChanged', name }, 'Changed the supplier “Light wind”'],
  supplierDeleted: [{ did: 'supplierDeleted', name }, 'Deleted the supplier “Light wind”'],
  supplyChanged: [{ did: 'supplyChanged', name, count: 1 }, 'Changed what “Light wind” has of one variant'],
  costsCame: [{ did: 'costsCame', count: 2 }, 'Agreed costs of 2 variants came into force'],
  proposalMade: [{ did: 'proposalMade', title, name: 'Mara' }, 'Mara proposed changes to “Harrier delta”'],
  newProposed: [{ did: 'newProposed', title, name: 'Mara' }, 'Mara proposed “Harrier delta” as a new product'],
  manyProposed: [{ did: 'manyProposed', name: 'Mara', count: 3 }, 'Mara proposed changes to 3 products'],
  proposalWithdrawn: [
    { did: 'proposalWithdrawn', title, name: 'Mara' },
    'Mara withdrew the proposal for “Harrier delta”',
  ],
  proposalTaken: [
    { did: 'proposalTaken', title, name: 'Mara', fields: ['title', 'price'] },
    'Took title, price of “Harrier delta” as Mara proposed',
  ],
  proposalRefused: [{ did: 'proposalRefused', title, name: 'Mara' }, 'Refused what Mara proposed for “Harrier delta”'],
  viewKept: [{ did: 'viewKept', name }, 'Kept the view “Light wind”'],
  viewDeleted: [{ did: 'viewDeleted', name }, 'Deleted the view “Light wind”'],
  specSheetAdded: [{ did: 'specSheetAdded', name }, 'Added the spec sheet “Light wind”'],
  specSheetChanged: [{ did: 'specSheetChanged', name }, 'Changed the spec sheet “Light wind”'],
  specSheetDeleted: [{ did: 'specSheetDeleted', name, count: 0 }, 'Deleted the spec sheet “Light wind” of 0 products'],
  optionListAdded: [{ did: 'optionListAdded', name }, 'Added the option list “Light wind”'],
  optionListChanged: [{ did: 'optionListChanged', name }, 'Changed the option list “Light wind”'],
  optionListDeleted: [{ did: 'optionListDeleted', name }, 'Deleted the option list “Light wind”'],
};

test.each(Object.entries(examples))('%s', (_did, [done, words]) => {
  expect(doneWords(done)).toBe(words);
});

test('what was done is told from what the journal stores of it', () => {
  for (const [done, words] of Object.values(examples))
    expect(doneWords(JSON.parse(JSON.stringify(done)) as Done)).toBe(words);
});

test('a field that there is no more is told under the name that it was stored by', () => {
  expect(doneWords({ did: 'productChanged', title, fields: ['title', 'wingCount'] })).toBe(
    'Changed title, wingCount of “Harrier delta”',
  );
});

test('what this version does not know is told to be a change, and does not break the history', () => {
  expect(doneWords({ did: 'kiteFlown', title } as never)).toBe('Changed something in a way that is not known any more');
  const request = { do: 'dyed', colour: 'ember' } as never;
  expect(doneWords({ did: 'bulk', request, count: 3 })).toBe('Changed 3 products');
});

test('words of their own are told as they are', () => expect(doneWords(written('Tidied up'))).toBe('Tidied up'));
