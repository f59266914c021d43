import { bulkLabel, type BulkRequest } from '../bulk/bulk-actions';
import { countWords } from '../shared/count-words';
import { fieldWords } from '../model/fields';
import { productFields, relationFields } from '../model/product-fields';
import type { Status, StockReason } from '../model/product-values';
import { variantFields } from '../model/variant-fields';

const wordsOfProduct: Readonly<Record<string, string>> = {
  ...fieldWords(productFields),
  ...fieldWords(relationFields),
};
const wordsOfVariant: Readonly<Record<string, string>> = fieldWords(variantFields);

/** Names of fields as one reads them; a field that is gone since is told as it was stored. */
const named = (fields: readonly string[], words: Readonly<Record<string, string>>) =>
  fields.map((field) => words[field] ?? field).join(', ');

const products = (count: number) => countWords(count, 'product', 'products');

interface Titled {
  title: string;
}
interface Named {
  name: string;
}
interface OfGroup extends Named {
  kind: 'category' | 'collection' | 'brand' | 'tag';
}

const statuses: Record<Status, (title: string) => string> = {
  live: (title) => `Put “${title}” on the shop`,
  draft: (title) => `Made “${title}” a draft`,
  off: (title) => `Took “${title}” off the shop`,
};

const stockReasons: Record<StockReason, string> = {
  delivered: 'Delivered',
  counted: 'Counted',
  returned: 'Returned',
  damaged: 'Damaged or lost',
  other: 'Moved',
};

/**
 * All that can be done to the catalog, each with the words for it. The journal stores which it was and its parameters; the
 * words are made when it is read. What was stored under a key must stay readable.
 */
const catalogue = {
  /** in words that were written down as they are: by versions before this one, and by seeds */
  written: ({ words }: { words: string }) => words,
  shopSetUp: () => 'Set the shop up',
  settingsChanged: () => 'Changed the settings of the shop',
  menuChanged: () => 'Changed the menu',
  takenBack: ({ title }: Titled) => `Took back what was not live of “${title}”`,
  broughtBack: ({ title, edition }: Titled & { edition: number }) => `Brought “${title}” back from edition ${edition}`,
  examplesAdded: ({ count }: { count: number }) => `Added ${countWords(count, 'example product', 'example products')}`,
  examplesRemoved: ({ count }: { count: number }) =>
    `Removed ${countWords(count, 'example product', 'example products')}`,
  legalPagesAdded: ({ count }: { count: number }) => `Added ${countWords(count, 'legal page', 'legal pages')}`,
  visitModelChanged: () => 'Changed what is taken for true of a visit',

  productAdded: ({ title }: Titled) => `Added “${title}”`,
  productChanged: ({ title, fields }: Titled & { fields: readonly string[] }) =>
    `Changed ${named(fields, wordsOfProduct)} of “${title}”`,
  statusChanged: ({ title, status }: Titled & { status: Status }) => statuses[status](title),
  variantsChanged: ({ title, fields }: Titled & { fields: readonly string[] }) =>
    `Changed ${named(fields, wordsOfVariant)} of “${title}”`,
  optionsChanged: ({ title }: Titled) => `Changed options of “${title}”`,
  productDeleted: ({ title }: Titled) => `Deleted “${title}”`,
  productCopied: ({ title }: Titled) => `Copied “${title}”`,
  partsCopied: ({ title, count }: Titled & { count: number }) => `Copied parts of “${title}” to ${products(count)}`,
  relatedBack: ({ from, title }: Titled & { from: string }) => `Let “${from}” lead to “${title}”`,
  productsMerged: ({ title, count }: Titled & { count: number }) => `Merged ${products(count)} into “${title}”`,
  productSplit: ({ title, count }: Titled & { count: number }) => `Split “${title}” into ${products(count)}`,
  featuredOrdered: () => 'Changed the order of featured products',
  fileAdded: ({ title, name }: Titled & Named) => `Added the file “${name}” to “${title}”`,
  picturesAdded: ({ title, count }: Titled & { count: number }) =>
    `Added ${count === 1 ? 'a picture' : `${count} pictures`} to “${title}”`,
  pictureReplaced: ({ title }: Titled) => `Replaced a picture of “${title}”`,
  picturesChanged: ({ title }: Titled) => `Changed pictures of “${title}”`,
  stockMoved: ({ title, reason, note }: Titled & { reason: StockReason; note: string }) =>
    `${stockReasons[reason]}: stock of “${title}”${note && `, ${note}`}`,

  bulk: ({ request, count }: { request: BulkRequest; count: number }) => bulkLabel(request, count),
  imported: ({ file, added, changed, deleted }: { file: string; added: number; changed: number; deleted: number }) =>
    `Imported “${file}”: ${
      [
        ...(added > 0 ? [`added ${products(added)}`] : []),
        ...(changed > 0 ? [`changed ${products(changed)}`] : []),
        ...(deleted > 0 ? [`deleted ${products(deleted)}`] : []),
      ].join(', ') || 'nothing changed'
    }`,
  sheetSaved: ({ cells, count }: { cells: number; count: number }) =>
    `Changed ${countWords(cells, 'cell', 'cells')} of ${products(count)} in a sheet`,

  groupAdded: ({ kind, name }: OfGroup) => `Added ${kind} “${name}”`,
  groupChanged: ({ kind, name }: OfGroup) => `Changed ${kind} “${name}”`,
  groupRenamed: ({ kind, name, from }: OfGroup & { from: string }) => `Renamed ${kind} “${from}” to “${name}”`,
  groupPictured: ({ kind, name }: OfGroup) => `Changed the picture of ${kind} “${name}”`,
  groupMerged: ({ kind, name, into }: OfGroup & { into: string }) => `Merged ${kind} “${name}” into “${into}”`,
  groupDeleted: ({ kind, name }: OfGroup) => `Deleted ${kind} “${name}”`,
  categoryMoved: ({ name }: Named) => `Moved category “${name}”`,
  productsPut: ({ name, count }: Named & { count: number }) => `Put ${products(count)} into “${name}”`,
  productsPinned: ({ name, count }: Named & { count: number }) => `Pinned ${products(count)} in “${name}”`,
  collectionFrozen: ({ name }: Named) => `Froze collection “${name}”`,
  collectionFilled: ({ name }: Named) => `Rule fills “${name}” again`,
  collectionsOrdered: () => 'Put the shelves in order',

  pageCopied: ({ title }: Titled) => `Copied the page “${title}”`,
  pageAdded: ({ title }: Titled) => `Added page “${title}”`,
  pageChanged: ({ title }: Titled) => `Changed page “${title}”`,
  pageDeleted: ({ title }: Titled) => `Deleted page “${title}”`,

  offerAdded: ({ name }: Named) => `Made the offer “${name}”`,
  offerChanged: ({ name }: Named) => `Changed the offer “${name}”`,
  offerDeleted: ({ name }: Named) => `Deleted the offer “${name}”`,
  codesAdded: ({ name, count }: Named & { count: number }) =>
    `Made ${countWords(count, 'code', 'codes')} for “${name}”`,
  codesDeleted: ({ name, count }: Named & { count: number }) =>
    `Deleted ${countWords(count, 'code', 'codes')} of “${name}”`,

  embedAdded: ({ name }: Named) => `Made “${name}” for other sites`,
  embedChanged: ({ name }: Named) => `Changed “${name}” on other sites`,
  embedDeleted: ({ name }: Named) => `Took “${name}” off other sites`,
  feedAdded: ({ name }: Named) => `Made the feed “${name}”`,
  feedChanged: ({ name }: Named) => `Changed the feed “${name}”`,
  feedDeleted: ({ name }: Named) => `Deleted the feed “${name}”`,

  translated: ({ language, name, count, things }: Named & { language: string; count: number; things: number }) =>
    things > 1
      ? `Translated ${countWords(count, 'text', 'texts')} into ${language}`
      : `Translated ${countWords(count, 'text', 'texts')} of “${name}” into ${language}`,
  translationsDrafted: ({ language, count }: { language: string; count: number }) =>
    `Drafted ${countWords(count, 'text', 'texts')} in ${language}`,
  draftsDropped: ({ language, count }: { language: string; count: number }) =>
    `Dropped ${countWords(count, 'draft', 'drafts')} in ${language}`,
  languagesChanged: () => 'Changed the languages of the shop',
  forwardsChanged: ({ count }: { count: number }) => `Changed ${countWords(count, 'forward', 'forwards')}`,

  listingChosen: ({ name }: Named) => `Chose the listing “${name}” for search engines`,
  chosenChanged: ({ name }: Named) => `Changed the listing “${name}” for search engines`,
  chosenDropped: ({ name }: Named) => `No longer shows the listing “${name}” to search engines`,
  indexChanged: ({ name, shown }: Named & { shown: boolean }) =>
    shown ? `Lets search engines show “${name}”` : `Keeps “${name}” from search engines`,

  supplierAdded: ({ name }: Named) => `Added the supplier “${name}”`,
  supplierChanged: ({ name }: Named) => `Changed the supplier “${name}”`,
  supplierDeleted: ({ name }: Named) => `Deleted the supplier “${name}”`,
  supplyChanged: ({ name, count }: Named & { count: number }) =>
    `Changed what “${name}” has of ${countWords(count, 'variant', 'variants')}`,
  costsCame: ({ count }: { count: number }) =>
    `Agreed costs of ${countWords(count, 'variant', 'variants')} came into force`,
  proposalMade: ({ title, name }: Titled & Named) => `${name} proposed changes to “${title}”`,
  newProposed: ({ title, name }: Titled & Named) => `${name} proposed “${title}” as a new product`,
  manyProposed: ({ name, count }: Named & { count: number }) => `${name} proposed changes to ${products(count)}`,
  proposalWithdrawn: ({ title, name }: Titled & Named) => `${name} withdrew the proposal for “${title}”`,
  proposalTaken: ({ title, name, fields }: Titled & Named & { fields: readonly string[] }) =>
    `Took ${fields.join(', ')} of “${title}” as ${name} proposed`,
  proposalRefused: ({ title, name }: Titled & Named) => `Refused what ${name} proposed for “${title}”`,

  viewKept: ({ name }: Named) => `Kept the view “${name}”`,
  viewDeleted: ({ name }: Named) => `Deleted the view “${name}”`,
  specSheetAdded: ({ name }: Named) => `Added the spec sheet “${name}”`,
  specSheetChanged: ({ name }: Named) => `Changed the spec sheet “${name}”`,
  specSheetDeleted: ({ name, count }: Named & { count: number }) =>
    `Deleted the spec sheet “${name}” of ${products(count)}`,
  optionListAdded: ({ name }: Named) => `Added the option list “${name}”`,
  optionListChanged: ({ name }: Named) => `Changed the option list “${name}”`,
  optionListDeleted: ({ name }: Named) => `Deleted the option list “${name}”`,
};

type Catalogue = typeof catalogue;
type ParametersOf<Words> = Words extends (parameters: infer P) => string ? (unknown extends P ? object : P) : never;

/** What was done to the catalog: which it was, and with what. */
export type Done = { [Key in keyof Catalogue]: { did: Key } & ParametersOf<Catalogue[Key]> }[keyof Catalogue];

/** What was done, in words. What is no longer known is still told to be a change, so that a history can always be read. */
export function doneWords(done: Done): string {
  const words = catalogue[done.did] as ((parameters: Done) => string) | undefined;
  return words?.(done) ?? 'Changed something in a way that is not known any more';
}

/** Something that is told in words of its own. */
export const written = (words: string): Done => ({ did: 'written', words });
