import { useState } from 'react';
import type { ProductAnswer } from '../../../../contract/product';
import type { Autosave } from '../../../shared/autosave/autosave';
import { TextArea, TextField } from '../../../shared/ui/field';
import { Tick } from '../../../shared/ui/tick';
import { useProductField } from './use-product-autosave';
import { Part } from './part';

/** Widths that result pages commonly give a title and two lines of description, CSS pixels. */
const TITLE_WIDTH = 580;
const DESCRIPTION_WIDTH = 1_160;
const TITLE_FONT = '20px Arial, "Liberation Sans", sans-serif';
const DESCRIPTION_FONT = '14px Arial, "Liberation Sans", sans-serif';

let context: CanvasRenderingContext2D | null | undefined;

function widthOf(text: string, font: string): number {
  context ??= document.createElement('canvas').getContext('2d');
  if (!context) return text.length * 9;
  context.font = font;
  return context.measureText(text).width;
}

/** As much of a text as fits a width, with an ellipsis where it was cut. */
function fitted(text: string, font: string, width: number): string {
  if (widthOf(text, font) <= width) return text;
  let length = text.length;
  while (length > 0 && widthOf(`${text.slice(0, length)} …`, font) > width) length -= 1;
  return `${text.slice(0, length).trimEnd()} …`;
}

function Room({ text, font, width }: { text: string; font: string; width: number }) {
  const share = widthOf(text, font) / width;
  return (
    <span className={share > 1 ? 'font-semibold text-rose-ink' : ''}>
      {share > 1 ? 'too wide: the end is cut off' : `${Math.round(share * 100)} % of the width`}
    </span>
  );
}

export function InSearch({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  const { meta } = answer;
  const title = useProductField(save, 'metaTitle');
  const description = useProductField(save, 'metaDescription');
  const slug = useProductField(save, 'slug');
  const noindex = useProductField(save, 'noindex');
  const [usual] = useState(() => window.location.host);
  const shownTitle = title.value || meta.title;
  const shownDescription = description.value || meta.description;
  return (
    <Part id="search" title="In search engines">
      <div className="grid gap-x-6 gap-y-4 lg:grid-cols-2">
        <div className="flex flex-col gap-3.5">
          <TextField
            label="Meta title"
            placeholder={meta.title}
            value={title.value}
            error={title.error}
            unsaved={title.unsaved}
            onChange={(event) => title.change(event.target.value)}
            hint={
              <>
                {title.value === '' && 'made from the title · '}
                <Room text={shownTitle} font={TITLE_FONT} width={TITLE_WIDTH} />
              </>
            }
          />
          <TextArea
            label="Meta description"
            rows={3}
            placeholder={meta.description}
            value={description.value}
            error={description.error}
            unsaved={description.unsaved}
            onChange={(event) => description.change(event.target.value)}
            hint={
              <>
                {description.value === '' && 'made from the summary · '}
                <Room text={shownDescription} font={DESCRIPTION_FONT} width={DESCRIPTION_WIDTH} />
              </>
            }
          />
          <TextField
            label="Address"
            value={slug.value}
            error={slug.error}
            unsaved={slug.unsaved}
            onChange={(event) => slug.change(event.target.value)}
            hint="After a change, the old address forwards here by itself."
          />
          <Tick label="Keep out of search engines" checked={noindex.value} change={noindex.change} />
        </div>
        <div>
          <span className="mb-1 block font-semibold">About as it will look</span>
          <div
            className={`rounded-lg border border-line p-4 ${noindex.value ? 'opacity-40' : ''}`}
            style={{ fontFamily: 'Arial, "Liberation Sans", sans-serif' }}
          >
            <p className="truncate text-xs text-ink-2">
              {usual}/p/{slug.value}
            </p>
            <p className="mt-1 text-[17px] leading-snug text-sky-ink">{fitted(shownTitle, TITLE_FONT, TITLE_WIDTH)}</p>
            <p className="mt-1 text-[13px] leading-snug text-ink-2">
              {fitted(shownDescription, DESCRIPTION_FONT, DESCRIPTION_WIDTH) || 'No description.'}
            </p>
          </div>
          {noindex.value && <p className="mt-1 text-rose-ink">Search engines are told to leave this page out.</p>}
        </div>
      </div>
    </Part>
  );
}
