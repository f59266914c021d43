import { TextField } from '../../../shared/ui/field';
import { ChoiceRow } from '../fields/choice-row';
import { Entries } from '../fields/entries';
import { LinkField } from '../../../shared/pickers/link-field';
import { PictureField } from '../fields/picture-field';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export const PicturesFields = ({ section, errors, change }: SectionFieldsProps<'pictures'>) => (
  <>
    <SectionTitle section={section} errors={errors} change={change} />
    <Entries
      entries={section.pictures}
      change={(pictures) => change({ ...section, pictures })}
      one="picture"
      most={24}
      draw={(entry, set) => (
        <div className="flex flex-col gap-2">
          <PictureField
            label="Picture"
            picture={entry.picture}
            change={(picture) => picture && set({ ...entry, picture })}
          />
          <TextField
            label="Caption"
            value={entry.caption}
            onChange={(event) => set({ ...entry, caption: event.target.value })}
          />
          <LinkField label="It leads to" link={entry.to} change={(to) => set({ ...entry, to })} />
        </div>
      )}
    />
    {section.pictures.length < 24 && (
      <PictureField
        key={section.pictures.length}
        label="Add a picture"
        picture={null}
        change={(picture) =>
          picture && change({ ...section, pictures: [...section.pictures, { picture, caption: '', to: null }] })
        }
      />
    )}
    <ChoiceRow
      label="Pictures in a row"
      value={section.columns}
      choices={[1, 2, 3, 4, 5, 6].map((value) => ({ value, label: value }))}
      choose={(columns) => change({ ...section, columns })}
    />
    <ChoiceRow
      label="Shape"
      value={section.shape}
      choices={[
        { value: 'own', label: 'as they are' },
        { value: 'landscape', label: 'landscape' },
        { value: 'square', label: 'square' },
        { value: 'portrait', label: 'portrait' },
      ]}
      choose={(shape) => change({ ...section, shape })}
    />
  </>
);
