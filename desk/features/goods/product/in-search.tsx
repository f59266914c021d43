import type { ProductAnswer } from '../../../../contract/product';
import type { Autosave } from '../../../shared/autosave/autosave';
import { TextArea, TextField } from '../../../shared/ui/field';
import { pixelWidth, SHOWN_PIXELS } from '../../../shared/ui/pixel-width';
import { ResultPreview } from '../../../shared/ui/result-preview';
import { Tick } from '../../../shared/ui/tick';
import { useProductField } from './use-product-autosave';
import { Part } from './part';

function Room({ text, as }: { text: string; as: keyof typeof SHOWN_PIXELS }) {
  const share = pixelWidth(text, as) / SHOWN_PIXELS[as];
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
                <Room text={shownTitle} as="title" />
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
                <Room text={shownDescription} as="description" />
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
          <div className={`rounded-lg border border-line p-4 ${noindex.value ? 'opacity-40' : ''}`}>
            <ResultPreview
              origin={window.location.origin}
              url={`/p/${slug.value}`}
              title={shownTitle}
              description={shownDescription}
            />
          </div>
          {noindex.value && <p className="mt-1 text-rose-ink">Search engines are told to leave this page out.</p>}
        </div>
      </div>
    </Part>
  );
}
