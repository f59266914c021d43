import { useSettings, type WantedSection } from '../../../data/shopfront';
import { TextField } from '../../../shared/ui/field';
import { MomentField } from '../../../shared/ui/moment-field';
import { ChoiceRow } from '../fields/choice-row';

interface Props {
  section: WantedSection;
  errors: Record<string, string>;
  change: (section: WantedSection) => void;
}

const grounds = [
  { value: 'plain', label: 'plain' },
  { value: 'soft', label: 'soft' },
  { value: 'tint', label: 'warm' },
  { value: 'deep', label: 'dark' },
] as const;
const spaces = [
  { value: 'none', label: 'none' },
  { value: 'small', label: 'small' },
  { value: 'usual', label: 'usual' },
  { value: 'large', label: 'large' },
] as const;

/** How a section stands on its page, when and for whom: the same for every sort. */
export function FrameFields({ section, errors, change }: Props) {
  const timeZone = useSettings().data?.timeZone ?? 'UTC';
  return (
    <details>
      <summary className="py-1 font-semibold">How it stands on the page</summary>
      <div className="mt-1 flex flex-col gap-2.5">
        <ChoiceRow
          label="Ground"
          value={section.ground}
          choices={grounds}
          choose={(ground) => change({ ...section, ground })}
        />
        <ChoiceRow
          label="Width"
          value={section.width}
          choices={[
            { value: 'text', label: 'text' },
            { value: 'page', label: 'page' },
            { value: 'full', label: 'full' },
          ]}
          choose={(width) => change({ ...section, width })}
        />
        <ChoiceRow
          label="Room above"
          value={section.above}
          choices={spaces}
          choose={(above) => change({ ...section, above })}
        />
        <ChoiceRow
          label="Room below"
          value={section.below}
          choices={spaces}
          choose={(below) => change({ ...section, below })}
        />
        <ChoiceRow
          label="Words"
          value={section.align}
          choices={[
            { value: 'start', label: 'at the left' },
            { value: 'centre', label: 'centred' },
          ]}
          choose={(align) => change({ ...section, align })}
        />
        <ChoiceRow
          label="Seen on"
          value={section.screen}
          choices={[
            { value: 'all', label: 'all screens' },
            { value: 'wide', label: 'wide' },
            { value: 'phone', label: 'phones' },
          ]}
          choose={(screen) => change({ ...section, screen })}
        />
        <MomentField
          label="Seen from"
          value={section.from}
          timeZone={timeZone}
          error={errors.from}
          change={(from) => change({ ...section, from })}
        />
        <MomentField
          label="Seen until"
          value={section.until}
          timeZone={timeZone}
          error={errors.until}
          change={(until) => change({ ...section, until })}
        />
        <TextField
          label="Name for you"
          placeholder="its title"
          value={section.label}
          error={errors.label}
          onChange={(event) => change({ ...section, label: event.target.value })}
        />
        <TextField
          label="Anchor"
          placeholder="questions"
          hint={
            section.anchor
              ? `A button on this page leads here with #${section.anchor}`
              : 'So that a button on this page can lead here'
          }
          value={section.anchor}
          error={errors.anchor}
          onChange={(event) => change({ ...section, anchor: event.target.value })}
        />
      </div>
    </details>
  );
}
