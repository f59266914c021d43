import clsx from 'clsx';
import { ImagePlus, Trash2 } from 'lucide-react';
import { useRef, useState, type MouseEvent } from 'react';
import type { PlacedPicture } from '../../../../core/model/sections/picture';
import type { Target } from '../../../../core/model/target';
import { mediaUrl } from '../../../../core/storefront/picture-sizes';
import { wordsOf } from '../../../data/api';
import { useSectionPicture } from '../../../data/shopfront';
import { TextField } from '../../../shared/ui/field';
import { Button } from '../../../shared/ui/button';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { TargetName } from '../../../shared/pickers/target-words';

interface Props {
  label: string;
  picture: PlacedPicture | null;
  change: (picture: PlacedPicture | null) => void;
  /** it is never cut, so no point of it has to stay in sight */
  isWhole?: boolean;
  /** whose picture is shown instead, where that can be chosen */
  of?: { target: Target | null; change: (target: Target | null) => void };
}

/** A picture that is dropped or chosen, with the point that stays in sight; or the picture of something of the shop. */
export function PictureField({ label, picture, change, isWhole = false, of }: Props) {
  const send = useSectionPicture();
  const input = useRef<HTMLInputElement>(null);
  const [isOver, setOver] = useState(false);
  const take = (files: FileList | null) => {
    if (files?.[0])
      send.mutate([files[0]], {
        onSuccess: (stored) => change({ ...stored, alt: picture?.alt ?? '', focus: { x: 0.5, y: 0.5 } }),
      });
  };
  const focusAt = (event: MouseEvent<HTMLElement>) => {
    if (!picture || isWhole) return input.current?.click();
    const box = event.currentTarget.getBoundingClientRect();
    const share = (at: number, from: number, size: number) =>
      Math.round(Math.min(1, Math.max(0, (at - from) / size)) * 100) / 100;
    change({
      ...picture,
      focus: { x: share(event.clientX, box.left, box.width), y: share(event.clientY, box.top, box.height) },
    });
  };
  return (
    <div className="flex flex-col gap-1.5">
      <span className="text-ink-2">{label}</span>
      <button
        type="button"
        onClick={focusAt}
        title={picture && !isWhole ? 'Click on what should always be seen' : undefined}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          take(event.dataTransfer.files);
        }}
        className={clsx(
          'relative flex min-h-20 w-full items-center justify-center overflow-hidden rounded-lg border border-dashed border-ink-3 bg-paper text-ink-2 hover:border-ink',
          isOver && 'outline-2 outline-marigold',
        )}
      >
        {picture ? (
          <>
            <img
              src={mediaUrl(picture.media, 480)}
              alt=""
              className={isWhole ? 'max-h-32 max-w-full object-contain p-3' : 'w-full'}
            />
            {!isWhole && (
              <span
                className="absolute size-4 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-sheet bg-petrol shadow"
                style={{ left: `${picture.focus.x * 100}%`, top: `${picture.focus.y * 100}%` }}
              />
            )}
          </>
        ) : (
          <span className="flex items-center gap-1.5 text-xs">
            <ImagePlus size={15} aria-hidden="true" />
            {send.isPending ? 'Taking it in …' : 'Drop a picture, or choose one'}
          </span>
        )}
        <span className="sr-only">
          {picture && !isWhole ? 'Choose the point that stays in sight' : 'Choose a picture'}
        </span>
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label={label}
        className="hidden"
        onChange={(event) => {
          take(event.target.files);
          event.target.value = '';
        }}
      />
      {send.error && (
        <p role="alert" className="text-rose-ink">
          {wordsOf(send.error)}
        </p>
      )}
      {picture && (
        <>
          <TextField
            label="What it shows"
            value={picture.alt}
            hint="For those who cannot see it"
            onChange={(event) => change({ ...picture, alt: event.target.value })}
          />
          <span className="flex gap-1">
            <Button look="bare" onClick={() => input.current?.click()}>
              Another one
            </Button>
            <Button look="bare" onClick={() => change(null)}>
              <Trash2 size={12} aria-hidden="true" /> Take it away
            </Button>
          </span>
        </>
      )}
      {of && !picture && (
        <span className="flex flex-wrap items-center gap-1.5">
          <span className="text-ink-2">or the picture of</span>
          {of.target ? (
            <TargetName to={of.target} title={label} remove={() => of.change(null)} />
          ) : (
            <ChooseTarget
              label="a product or a group"
              kinds={['product', 'category', 'collection', 'brand', 'tag']}
              choose={of.change}
            />
          )}
        </span>
      )}
    </div>
  );
}
