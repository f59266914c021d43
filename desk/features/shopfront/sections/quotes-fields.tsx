import { TextArea, TextField } from '../../../shared/ui/field';
import { ChoiceRow } from '../fields/choice-row';
import { Entries } from '../fields/entries';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export const QuotesFields = ({ section, errors, change }: SectionFieldsProps<'quotes'>) => (
  <>
    <SectionTitle section={section} errors={errors} change={change} />
    <Entries
      entries={section.quotes}
      change={(quotes) => change({ ...section, quotes })}
      one="quote"
      most={12}
      fresh={() => ({ words: '', who: '', stars: null })}
      draw={(quote, set) => (
        <div className="flex flex-col gap-2">
          <TextArea
            label="What was said"
            rows={3}
            value={quote.words}
            onChange={(event) => set({ ...quote, words: event.target.value })}
          />
          <TextField
            label="Who said it"
            value={quote.who}
            onChange={(event) => set({ ...quote, who: event.target.value })}
          />
          <ChoiceRow
            label="Stars"
            value={quote.stars ?? 0}
            choices={[0, 1, 2, 3, 4, 5].map((value) => ({ value, label: value === 0 ? 'none' : value }))}
            choose={(stars) => set({ ...quote, stars: stars || null })}
          />
        </div>
      )}
    />
  </>
);
