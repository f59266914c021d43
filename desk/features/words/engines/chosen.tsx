import { ImagePlus, Trash2 } from 'lucide-react';
import { useCallback, useRef, useState } from 'react';
import type { ChosenListing } from '../../../../core/model/chosen-listing';
import { mediaUrl } from '../../../../core/storefront/picture-sizes';
import { saveChosen, useEngineWrites, type ChosenRow } from '../../../data/engines';
import { useSectionPicture } from '../../../data/shopfront';
import type { Autosave } from '../../../shared/autosave/autosave';
import { useAutosave, useText } from '../../../shared/autosave/use-autosave';
import { Button } from '../../../shared/ui/button';
import { Clashes } from '../../../shared/ui/clashes';
import { count } from '../../../shared/ui/count';
import { SaveStateWords } from '../../../shared/ui/save-state';
import { ResultPreview } from '../../../shared/ui/result-preview';
import { tellRefused } from '../../../data/tell-refused';

function Text({ save, name, label, rows = 1 }: { save: Autosave; name: string; label: string; rows?: number }) {
  const { value, error, unsaved, onChange } = useText(save, name);
  return (
    <label className="block">
      <span className="mb-1 block text-xs text-ink-2">{label}</span>
      <textarea
        rows={rows}
        value={value}
        onChange={onChange}
        aria-invalid={error !== undefined}
        data-unsaved={unsaved || undefined}
        className="field block w-full resize-y"
      />
      {error && (
        <span role="alert" className="mt-1 block text-rose-ink">
          {error}
        </span>
      )}
    </label>
  );
}

/** The picture of a chosen listing, for search engines and for cards on other sites. */
function Picture({ save, picture }: { save: Autosave; picture: ChosenListing['picture'] }) {
  const send = useSectionPicture();
  const input = useRef<HTMLInputElement>(null);
  const change = (next: ChosenListing['picture']) => save.change({ picture: next });
  return (
    <div className="sm:col-span-2">
      <span className="mb-1 block text-xs text-ink-2">Picture; without one, the first of its goods is shown</span>
      <div className="flex items-center gap-2">
        {picture && <img src={mediaUrl(picture.media, 480)} alt="" className="h-14 w-20 rounded-lg object-cover" />}
        <input
          ref={input}
          type="file"
          accept="image/*"
          aria-label="Picture"
          className="sr-only"
          onChange={({ target }) => {
            const [file] = target.files ?? [];
            target.value = '';
            if (file)
              send.mutate([file], {
                onSuccess: ({ media, width, height }) => change({ media, width, height, alt: picture?.alt ?? '' }),
                onError: tellRefused,
              });
          }}
        />
        <Button onClick={() => input.current?.click()} disabled={send.isPending}>
          <ImagePlus size={14} aria-hidden="true" /> {picture ? 'Another one' : 'Choose a picture'}
        </Button>
        {picture && (
          <Button look="bare" onClick={() => change(null)}>
            Take it away
          </Button>
        )}
      </div>
    </div>
  );
}

/** A narrowed listing that search engines may show, with its words. */
export function Chosen({
  row: { chosen, words, url, goods },
  origin,
  shopName,
}: {
  row: ChosenRow;
  origin: string;
  shopName: string;
}) {
  const { drop } = useEngineWrites();
  const [isOpen, setOpen] = useState(false);
  const shown = useCallback((key: string): unknown => chosen[key as keyof ChosenListing], [chosen]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({ saved: (await saveChosen(chosen.id, { ...values, was })).chosen }),
    keyOf: (path) => String(path[0]),
  });
  return (
    <li className="py-3">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
        <div className="min-w-0 flex-1">
          <ResultPreview
            origin={origin}
            url={url}
            title={chosen.metaTitle || `${chosen.title} · ${shopName}`}
            description={chosen.metaDescription || chosen.text}
          />
        </div>
        <span className="text-xs text-ink-2">
          {words}
          <br />
          {count(goods)} goods
        </span>
        <Button look="bare" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          Words
        </Button>
        <Button
          look="bare"
          aria-label={`No longer choose ${chosen.title}`}
          onClick={() => drop.mutate(chosen.id, { onError: tellRefused })}
        >
          <Trash2 size={14} aria-hidden="true" />
        </Button>
      </div>
      {isOpen && (
        <div className="mt-2 grid gap-2 sm:grid-cols-2">
          <div className="sm:col-span-2">
            <SaveStateWords save={save} />
            <Clashes save={save} />
          </div>
          <Text save={save} name="title" label="Title on the page" />
          <Text save={save} name="slug" label="Address, behind /l/" />
          <div className="sm:col-span-2">
            <Text save={save} name="text" label="Text on the page" rows={3} />
          </div>
          <Text save={save} name="metaTitle" label="Title for search engines; empty for that of the page" />
          <Text
            save={save}
            name="metaDescription"
            label="Description for search engines; empty for the text"
            rows={2}
          />
          <Picture save={save} picture={chosen.picture} />
        </div>
      )}
    </li>
  );
}
