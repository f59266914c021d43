import { Plus } from 'lucide-react';
import type { Slide } from '../../../../core/model/sections/banner';
import { Button } from '../../../shared/ui/button';
import { TextArea, TextField } from '../../../shared/ui/field';
import { ChoiceRow } from '../fields/choice-row';
import { Entries } from '../fields/entries';
import { LinkField } from '../../../shared/pickers/link-field';
import { PictureField } from '../fields/picture-field';
import type { SectionFieldsProps } from './section-fields';

type Buttons = Slide['buttons'];

function ButtonFields({ buttons, change }: { buttons: Buttons; change: (buttons: Buttons) => void }) {
  return (
    <div className="flex flex-col gap-2">
      {buttons.map((button, i) => {
        const set = (next: Buttons[number] | null) =>
          change(buttons.flatMap((each, at) => (at === i ? (next ?? []) : each)));
        return (
          <div key={i} className="flex flex-col gap-1">
            <TextField
              label={`Button ${i + 1}`}
              placeholder="the name of what it leads to"
              value={button.words}
              onChange={(event) => set({ ...button, words: event.target.value })}
            />
            <LinkField label="It leads to" link={button.to} change={(to) => set(to && { ...button, to })} />
          </div>
        );
      })}
      {buttons.length < 2 && (
        <div className="flex items-center gap-1.5 text-ink-2">
          <Plus size={13} className="shrink-0" aria-hidden="true" />
          <div className="min-w-0 flex-1">
            <LinkField
              label={buttons.length === 0 ? 'A button that leads to' : 'A second button that leads to'}
              link={null}
              change={(to) => to && change([...buttons, { words: '', to }])}
            />
          </div>
        </div>
      )}
    </div>
  );
}

function SlideFields({ slide, change }: { slide: Slide; change: (slide: Slide) => void }) {
  return (
    <div className="flex flex-col gap-2.5">
      <TextField
        label="Heading"
        value={slide.title}
        onChange={(event) => change({ ...slide, title: event.target.value })}
      />
      <TextArea
        label="Text"
        rows={2}
        value={slide.text}
        onChange={(event) => change({ ...slide, text: event.target.value })}
      />
      <PictureField
        label="Picture"
        picture={slide.picture}
        change={(picture) => change({ ...slide, picture })}
        of={{ target: slide.pictureOf, change: (pictureOf) => change({ ...slide, pictureOf }) }}
      />
      <ButtonFields buttons={slide.buttons} change={(buttons) => change({ ...slide, buttons })} />
    </div>
  );
}

const blank: Slide = { title: 'Another banner', text: '', picture: null, pictureOf: null, buttons: [] };

export function BannerFields({ section, errors, change }: SectionFieldsProps<'banner'>) {
  const { slides } = section;
  const set = (next: Slide[]) => change({ ...section, slides: next });
  return (
    <>
      {slides.length === 1 ? (
        <>
          <SlideFields slide={slides[0]!} change={(slide) => set([slide])} />
          <Button look="bare" className="self-start" onClick={() => set([...slides, blank])}>
            <Plus size={13} aria-hidden="true" /> Another one that takes turns
          </Button>
        </>
      ) : (
        <Entries
          entries={slides}
          change={set}
          one="banner"
          most={8}
          fewest={1}
          fresh={() => blank}
          draw={(slide, setSlide) => <SlideFields slide={slide} change={setSlide} />}
        />
      )}
      {errors.slides && (
        <p role="alert" className="text-rose-ink">
          {errors.slides}
        </p>
      )}
      <ChoiceRow
        label="Picture"
        value={section.place}
        choices={[
          { value: 'beside', label: 'beside' },
          { value: 'behind', label: 'behind' },
          { value: 'above', label: 'above' },
        ]}
        choose={(place) => change({ ...section, place })}
      />
      <ChoiceRow
        label="Height"
        value={section.height}
        choices={[
          { value: 'low', label: 'low' },
          { value: 'usual', label: 'usual' },
          { value: 'tall', label: 'tall' },
        ]}
        choose={(height) => change({ ...section, height })}
      />
    </>
  );
}
