import { TextField } from '../../../shared/ui/field';
import { ChoiceRow } from '../fields/choice-row';
import { LinkField } from '../../../shared/pickers/link-field';
import { PictureField } from '../fields/picture-field';
import { RichRow } from '../fields/rich-row';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export function PictureTextFields({ section, errors, change }: SectionFieldsProps<'pictureText'>) {
  const { button } = section;
  return (
    <>
      <SectionTitle section={section} errors={errors} change={change} />
      <RichRow label="Text" html={section.html} change={(html) => change({ ...section, html })} />
      <PictureField
        label="Picture"
        picture={section.picture}
        change={(picture) => change({ ...section, picture })}
        of={{ target: section.pictureOf, change: (pictureOf) => change({ ...section, pictureOf }) }}
      />
      <ChoiceRow
        label="Picture on the"
        value={section.side}
        choices={[
          { value: 'left', label: 'left' },
          { value: 'right', label: 'right' },
        ]}
        choose={(side) => change({ ...section, side })}
      />
      <ChoiceRow
        label="It takes"
        value={section.share}
        choices={[
          { value: 'third', label: 'a third' },
          { value: 'half', label: 'half' },
          { value: 'most', label: 'most' },
        ]}
        choose={(share) => change({ ...section, share })}
      />
      {button && (
        <TextField
          label="Button"
          placeholder="the name of what it leads to"
          value={button.words}
          onChange={(event) => change({ ...section, button: { ...button, words: event.target.value } })}
        />
      )}
      <LinkField
        label="A button that leads to"
        link={button?.to ?? null}
        change={(to) => change({ ...section, button: to && { words: button?.words ?? '', to } })}
      />
    </>
  );
}
