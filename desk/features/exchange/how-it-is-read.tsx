import { encodings } from '../../../contract/exchange';
import { delimiters, importWays, matchings, type ImportWay, type Matching } from '../../../core/exchange/choices';
import type { ImportAnswer, ImportChanges, ImportSettings } from '../../data/exchange';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';

const encodingWords: Record<ImportSettings['encoding'], string> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16, reversed',
  'windows-1252': 'Windows, western',
  'windows-1250': 'Windows, central European',
  'windows-1251': 'Windows, Cyrillic',
};
const delimiterWords: Record<ImportSettings['delimiter'], string> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};
const wayWords: Record<ImportWay, string> = {
  both: 'adds and updates goods',
  add: 'only adds goods',
  update: 'only updates goods',
  delete: 'deletes the goods that it lists',
};
const matchWords: Record<(typeof matchings)[number], string> = {
  sku: 'SKU',
  barcode: 'barcode',
  slug: 'address',
  title: 'title',
};

interface Props {
  file: ImportAnswer;
  set: (changes: ImportChanges) => void;
}

/** How a file is read and what its rows do, as one sentence whose words can be changed. */
export function HowItIsRead({ file: { settings, isText, columns }, set }: Props) {
  const choices = <T extends string>(values: readonly T[], words: Record<T, string>) =>
    values.map((value) => ({ value, label: words[value] }));
  const isUsual = (key: string | null) =>
    key === null || ['variant sku', 'variant barcode', 'slug', 'title'].includes(key);
  const ownColumns = columns.flatMap(({ heading }, place) =>
    isUsual(settings.columns[place] ?? null) ? [] : [{ value: `column:${place}`, label: `column “${heading}”` }],
  );
  return (
    <section aria-label="How it is read" className="sheet max-w-5xl p-4">
      <div className="flex flex-wrap items-center gap-2">
        {isText && (
          <>
            <span>Text in</span>
            <Select
              label="Encoding"
              value={settings.encoding}
              choices={choices(encodings, encodingWords)}
              choose={(encoding) => set({ encoding: encoding as ImportSettings['encoding'] })}
            />
            <span>with</span>
            <Select
              label="Between cells"
              value={settings.delimiter}
              choices={choices(delimiters, delimiterWords)}
              choose={(delimiter) => set({ delimiter: delimiter as ImportSettings['delimiter'] })}
            />
            <span>between cells,</span>
          </>
        )}
        <span>decimals after</span>
        <Select
          label="Decimal mark"
          value={settings.decimal}
          choices={[
            { value: '.', label: 'a point' },
            { value: ',', label: 'a comma' },
          ]}
          choose={(decimal) => set({ decimal: decimal as ImportSettings['decimal'] })}
        />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <span>It</span>
        <Select
          label="What it does"
          value={settings.way}
          choices={choices(importWays, wayWords)}
          choose={(way) => set({ way: way as ImportWay })}
        />
        <span>and knows them by their</span>
        <Select
          label="Found by"
          value={settings.match}
          choices={[...choices(matchings, matchWords), ...ownColumns]}
          choose={(match) => set({ match: match as Matching })}
        />
      </div>
      <div className="mt-2 flex flex-wrap gap-x-6">
        <Tick
          label="The first row tells what the columns are"
          checked={settings.hasHead}
          change={(hasHead) => set({ hasHead })}
        />
        <Tick
          label="Make brands, tags and categories that are not there"
          checked={settings.makesGroups}
          change={(makesGroups) => set({ makesGroups })}
        />
        <Tick
          label="Goods that it does not name become drafts"
          checked={settings.draftsMissing}
          change={(draftsMissing) => set({ draftsMissing })}
        />
      </div>
    </section>
  );
}
