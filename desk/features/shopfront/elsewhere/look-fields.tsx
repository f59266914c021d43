import type { Embed } from '../../../../core/model/embed';
import { Tick } from '../../../shared/ui/tick';
import { ChoiceRow } from '../fields/choice-row';
import { NumberRow } from '../fields/number-row';
import { ColourField } from '../look/colour-field';

interface Props {
  look: Embed['look'];
  /** in words, by field */
  errors: Readonly<Record<string, string>>;
  change: (look: Embed['look']) => void;
}

/** Colours, letters and corners, so that goods fit the page on which they stand. */
export function LookFields({ look, errors, change }: Props) {
  const set = (fields: Partial<Embed['look']>) => change({ ...look, ...fields });
  return (
    <>
      <ColourField label="Buttons" value={look.accent} change={(accent) => set({ accent })} />
      <ColourField label="Letters" value={look.ink} change={(ink) => set({ ink })} />
      <Tick
        label="A ground of their own"
        checked={look.ground !== null}
        change={(has) => set({ ground: has ? '#ffffff' : null })}
      />
      {look.ground !== null && <ColourField label="Ground" value={look.ground} change={(ground) => set({ ground })} />}
      <ChoiceRow
        label="Typeface"
        value={look.type}
        choices={[
          { value: 'page', label: 'of the page' },
          { value: 'plain', label: 'plain' },
          { value: 'serif', label: 'serif' },
        ]}
        choose={(type) => set({ type })}
      />
      <NumberRow
        label="Size of letters"
        value={look.size}
        min={12}
        max={24}
        unit="px"
        error={errors.size}
        change={(size) => set({ size })}
      />
      <NumberRow
        label="Round corners"
        value={look.corners}
        min={0}
        max={32}
        unit="px"
        error={errors.corners}
        change={(corners) => set({ corners })}
      />
    </>
  );
}
