import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { GripVertical, X } from 'lucide-react';
import { mediaUrl } from '../../../../core/storefront/picture-sizes';
import type { Picture } from '../../../../core/model/product-values';
import { Button } from '../../../shared/ui/button';
import { NameField } from '../../../shared/ui/name-field';
import { PLAIN_SWATCH, type OptionValueDraft } from './option-drafts';

interface Props {
  id: string;
  value: OptionValueDraft;
  optionName: string;
  hasSwatches: boolean;
  pictures: readonly Picture[];
  change: (value: OptionValueDraft) => void;
  remove: () => void;
}

/** The colour, or the picture, that stands for a value. */
function Swatch({ value, pictures, change }: Pick<Props, 'value' | 'pictures' | 'change'>) {
  const picture = pictures.find(({ id }) => id === value.pictureId);
  return (
    <Popover className="flex">
      <PopoverButton
        aria-label={`Swatch of ${value.name}`}
        className="size-4 overflow-hidden rounded-full ring-1 ring-ink/15"
        style={{
          background:
            value.swatch ?? 'repeating-linear-gradient(45deg, var(--color-sheet) 0 3px, var(--color-line) 3px 5px)',
        }}
      >
        {picture && <img src={mediaUrl(picture.media, 160)} alt="" className="size-full object-cover" />}
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="z-50 mt-1 w-64 rounded-[10px] border border-line bg-sheet p-3 shadow-lg"
      >
        {({ close }) => (
          <>
            <label className="flex items-center gap-2">
              <input
                type="color"
                aria-label={`Colour of ${value.name}`}
                defaultValue={value.swatch ?? PLAIN_SWATCH}
                onBlur={(event) =>
                  event.target.value !== value.swatch && change({ ...value, swatch: event.target.value })
                }
                className="h-7 w-10 cursor-pointer border-0 bg-transparent p-0"
              />
              A colour
              {value.swatch && (
                <Button look="bare" onClick={() => change({ ...value, swatch: null })}>
                  none
                </Button>
              )}
            </label>
            <p className="mb-1 mt-2">Or one of the pictures</p>
            <div className="flex flex-wrap gap-1">
              {pictures.length === 0 && <span className="text-ink-2">There are none yet.</span>}
              {pictures.map((each, i) => (
                <button
                  key={each.id}
                  type="button"
                  aria-label={`Picture ${i + 1} for ${value.name}`}
                  aria-pressed={each.id === value.pictureId}
                  onClick={() => {
                    change({ ...value, pictureId: each.id === value.pictureId ? null : each.id });
                    close();
                  }}
                  className="size-10 overflow-hidden rounded-md ring-marigold aria-pressed:ring-2"
                >
                  <img src={mediaUrl(each.media, 160)} alt="" className="size-full object-cover" />
                </button>
              ))}
            </div>
          </>
        )}
      </PopoverPanel>
    </Popover>
  );
}

/** One value of an option: renamed in place, moved by dragging. */
export function OptionValue({ id, value, optionName, hasSwatches, pictures, change, remove }: Props) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return (
    <span
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center gap-1 rounded-lg border border-line bg-sheet py-1 pl-0.5 pr-1 ${isDragging ? 'z-10 opacity-80' : ''}`}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-label={`Move ${value.name}: drag, or Space and the arrow keys`}
        className="cursor-grab touch-none text-ink-3 hover:text-ink"
      >
        <GripVertical size={12} aria-hidden="true" />
      </button>
      {(hasSwatches || value.swatch || value.pictureId) && <Swatch value={value} pictures={pictures} change={change} />}
      <NameField
        aria-label={`Value of ${optionName}`}
        value={value.name}
        keep={(name) => change({ ...value, name })}
        size={Math.max(3, value.name.length)}
        className="bg-transparent"
      />
      <button
        type="button"
        aria-label={`Remove ${value.name}`}
        onClick={remove}
        className="rounded p-0.5 text-ink-2 hover:text-rose"
      >
        <X size={12} aria-hidden="true" />
      </button>
    </span>
  );
}
