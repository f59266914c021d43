import clsx from 'clsx';
import { useRef, useState, type ReactNode } from 'react';
import { mediaUrl } from '../../../../core/storefront/picture-sizes';
import type { Picture } from '../../../../core/model/product-values';
import { Button } from '../../../shared/ui/button';
import { Dialog } from '../../../shared/ui/dialog';
import { TextField } from '../../../shared/ui/field';
import { frameClass, frameStyle, isTooSmall } from '../../../shared/ui/picture-frame';

interface EditorProps {
  picture: Picture;
  /** words that fit it, for those who have none better */
  suggestion: string;
  close: () => void;
  save: (picture: Picture) => void;
  replace: (file: File) => void;
  /** what else can be said of the picture */
  children?: ReactNode;
}

/** Words for those who cannot see the picture, and the point that stays in view when it is cut. */
export function PictureEditor({ picture, suggestion, close, save, replace, children }: EditorProps) {
  const input = useRef<HTMLInputElement>(null);
  const [fit, setFit] = useState(picture.fit);
  const [alt, setAlt] = useState(picture.alt);
  const [focus, setFocus] = useState(picture.focus);
  const nudge = (dx: number, dy: number) =>
    setFocus(({ x, y }) => ({ x: Math.min(1, Math.max(0, x + dx)), y: Math.min(1, Math.max(0, y + dy)) }));
  const steps: Record<string, [number, number]> = {
    ArrowLeft: [-0.02, 0],
    ArrowRight: [0.02, 0],
    ArrowUp: [0, -0.02],
    ArrowDown: [0, 0.02],
  };
  const isChanged = alt !== picture.alt || fit !== picture.fit || focus !== picture.focus;
  /** Escape and a click beside it keep what was changed; only Cancel drops it */
  const leave = () => {
    if (isChanged) save({ ...picture, alt, focus, fit });
    close();
  };
  return (
    <Dialog title="Picture" isOpen close={leave} width="max-w-xl">
      <div className="flex gap-4">
        <div className="flex-1">
          <button
            type="button"
            aria-label="Point of focus: arrow keys move it"
            className="relative block w-full cursor-crosshair overflow-hidden rounded-[10px]"
            onKeyDown={(event) => {
              const step = steps[event.key];
              if (!step) return;
              event.preventDefault();
              nudge(...step);
            }}
            onClick={(event) => {
              if (event.detail === 0) return;
              const box = event.currentTarget.getBoundingClientRect();
              setFocus({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
            }}
          >
            <img src={mediaUrl(picture.media, 960)} alt="" className="w-full" />
            <span
              className="absolute size-6 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-sheet bg-rose/60 shadow"
              style={{ left: `${focus.x * 100}%`, top: `${focus.y * 100}%` }}
            />
          </button>
          <p className="mt-1 text-xs text-ink-2">
            {fit === 'fills' ? 'Click what must stay in view.' : 'It is wholly seen, on the colour of its edge.'}
          </p>
        </div>
        <div className="w-36">
          <span className="mb-1 block font-semibold">In the shop</span>
          <img
            src={mediaUrl(picture.media, 480)}
            alt=""
            className={clsx('aspect-square w-full rounded-[10px]', frameClass({ fit }))}
            style={frameStyle({ fit, focus, background: picture.background })}
          />
          <div role="radiogroup" aria-label="In the frame" className="mt-2 flex rounded-lg bg-sunk p-0.5">
            {(['fills', 'fits'] as const).map((each) => (
              <button
                key={each}
                type="button"
                role="radio"
                aria-checked={fit === each}
                onClick={() => setFit(each)}
                className="flex-1 rounded-md py-1 aria-checked:bg-sheet aria-checked:font-semibold"
              >
                {each}
              </button>
            ))}
          </div>
          {isTooSmall(picture) && (
            <p className="mt-2 text-xs text-rose-ink">
              {picture.width} × {picture.height} pixels are few for the shop: it will look soft.
            </p>
          )}
        </div>
      </div>
      <div className="mt-3">
        <TextField
          label="Alt text"
          placeholder={suggestion}
          hint={
            alt === '' ? (
              <button type="button" className="text-petrol hover:underline" onClick={() => setAlt(suggestion)}>
                Take “{suggestion}”
              </button>
            ) : (
              'What it shows, for people who cannot see it'
            )
          }
          value={alt}
          maxLength={300}
          onChange={(event) => setAlt(event.target.value)}
        />
      </div>
      {children}
      <div className="mt-4 flex justify-end gap-2">
        <Button look="bare" className="mr-auto" onClick={() => input.current?.click()}>
          Replace by another…
        </Button>
        <input
          ref={input}
          type="file"
          accept="image/*"
          className="sr-only"
          aria-label="Replace this picture"
          tabIndex={-1}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) replace(file);
            close();
          }}
        />
        <Button onClick={close}>Cancel</Button>
        <Button look="main" onClick={leave}>
          Keep
        </Button>
      </div>
    </Dialog>
  );
}
