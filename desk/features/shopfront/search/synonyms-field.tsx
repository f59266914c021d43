import type { SynonymLine } from '../../../../core/model/synonyms';
import type { Settings } from '../../../../core/model/settings';
import { readSynonymLine, synonymWords } from '../../../../core/search/synonyms';
import { useField } from '../../../shared/autosave/use-autosave';
import { Clashes } from '../../../shared/ui/clashes';
import { MeasureField } from '../../../shared/ui/measure-field';
import type { Reading } from '../../../shared/ui/readings';
import { SaveStateWords } from '../../../shared/ui/save-state';
import { useSettingsSave } from '../../../shared/autosave/settings-save';

function readSynonyms(typed: string): Reading<SynonymLine[]> {
  const value: SynonymLine[] = [];
  for (const line of typed.split('\n')) {
    const read = readSynonymLine(line);
    if (read && 'problem' in read) return read;
    if (read) value.push(read);
  }
  return { value };
}

/** What shoppers call things, beside what they are called in the shop. */
export function SynonymsField({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  const { value, change, ...rest } = useField<SynonymLine[]>(save, 'synonyms');
  return (
    <div className="flex flex-col gap-2">
      <MeasureField
        label="Words that mean the same"
        hint="One group a line, such as “spar, rod, stick”: a search for one finds the others too. With “power kite > foil”, the first finds the second, but not the other way round."
        rows={12}
        shown={value.map(synonymWords).join('\n')}
        read={readSynonyms}
        change={(lines) => change(lines as SynonymLine[])}
        {...rest}
      />
      <Clashes save={save} />
      <SaveStateWords save={save} />
    </div>
  );
}
