import type { Preset } from '../../../../core/look/presets';
import { families } from '../../../../core/model/look-choices';

const bands = ['deep', 'sea', 'sale', 'tint', 'mist', 'paper'] as const;

interface Props {
  presets: readonly Preset[];
  /** name of the one that the shop window shows */
  tried: string | null;
  isTaken: (preset: Preset) => boolean;
  attempt: (preset: Preset | null) => void;
}

/** Ready-made looks, each by its colours, letters and a sentence. */
export const PresetCards = ({ presets, tried, isTaken, attempt }: Props) => (
  <ul className="grid grid-cols-2 gap-3 md:grid-cols-3">
    {presets.map((preset) => (
      <li key={preset.key}>
        <button
          type="button"
          aria-pressed={tried === preset.name}
          onClick={() => attempt(tried === preset.name ? null : preset)}
          className="sheet flex h-full w-full flex-col p-3 text-left hover:shadow-md aria-pressed:outline-2 aria-pressed:outline-marigold"
        >
          <span className="mb-2 flex h-9 w-full overflow-hidden rounded-md border border-line" aria-hidden="true">
            {bands.map((role) => (
              <span key={role} className="flex-1" style={{ background: preset.look.colours[role] }} />
            ))}
          </span>
          <span className="flex items-baseline justify-between gap-2">
            <span className="font-display text-[15px] font-bold">{preset.name}</span>
            {isTaken(preset) && <span className="text-xs text-petrol">in use</span>}
          </span>
          <span className="text-xs text-ink-2">{preset.about}</span>
          <span className="mt-auto pt-1.5 text-xs text-ink-2">
            {[...new Set([families[preset.look.display].name, families[preset.look.text].name])].join(', ')}
          </span>
        </button>
      </li>
    ))}
  </ul>
);
