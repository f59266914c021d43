import { factIcons } from '../../../../core/model/sections/facts';
import { TextField } from '../../../shared/ui/field';
import { Select } from '../../../shared/ui/select';
import { Entries } from '../fields/entries';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

type Icon = (typeof factIcons)[number];

const iconNames: Record<Icon, string> = {
  none: 'no drawing',
  parcel: 'a parcel',
  return: 'an arrow back',
  hand: 'a hand with a heart',
  leaf: 'a leaf',
  wind: 'wind',
  clock: 'a clock',
  chat: 'a speech bubble',
  shield: 'a shield',
  pin: 'a place on a map',
  gift: 'a gift',
};

export const FactsFields = ({ section, errors, change }: SectionFieldsProps<'facts'>) => (
  <>
    <SectionTitle section={section} errors={errors} change={change} />
    <Entries
      entries={section.facts}
      change={(facts) => change({ ...section, facts })}
      one="fact"
      most={8}
      fresh={() => ({ icon: 'none' as const, title: '', words: '' })}
      draw={(fact, set) => (
        <div className="flex flex-col gap-2">
          <Select
            label="Drawing"
            value={fact.icon}
            choices={factIcons.map((value) => ({ value, label: iconNames[value] }))}
            choose={(icon) => set({ ...fact, icon: icon as Icon })}
          />
          <TextField
            label="Fact"
            value={fact.title}
            onChange={(event) => set({ ...fact, title: event.target.value })}
          />
          <TextField
            label="A few words more"
            value={fact.words}
            onChange={(event) => set({ ...fact, words: event.target.value })}
          />
        </div>
      )}
    />
  </>
);
