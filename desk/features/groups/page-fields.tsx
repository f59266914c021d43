import clsx from 'clsx';
import { ImagePlus, Trash2 } from 'lucide-react';
import { useRef, type ReactNode } from 'react';
import type { Category } from '../../../core/model/group';
import { mediaUrl } from '../../../core/storefront/picture-sizes';
import { isPicture, useFileDrop } from '../../shared/ui/file-drop';
import { Button } from '../../shared/ui/button';
import { TextArea, TextField } from '../../shared/ui/field';
import { Tick } from '../../shared/ui/tick';
import { useGroupPicture, type GroupKind } from '../../data/groups';
import type { GroupEditor } from './use-group-editor';

type PageFields = Pick<
  Category,
  'id' | 'name' | 'slug' | 'text' | 'picture' | 'metaTitle' | 'metaDescription' | 'noindex'
> & {
  /** what the picture shows, saved as a field of its own */
  alt?: string;
};

interface Props {
  kind: GroupKind;
  /** first part of its address in the shop */
  path: string;
  /** any group: its page has the same fields everywhere */
  editor: GroupEditor<PageFields>;
  id: string;
  children?: ReactNode;
}

function PictureField({ kind, id, editor }: Pick<Props, 'kind' | 'id' | 'editor'>) {
  const send = useGroupPicture(kind, id);
  const input = useRef<HTMLInputElement>(null);
  const isOver = useFileDrop(isPicture, ([file]) => file && send.mutate([file]));
  const picture = editor.value('picture');
  return (
    <div className="flex items-start gap-3">
      <button
        type="button"
        onClick={() => input.current?.click()}
        className={clsx(
          isOver && 'outline-2 outline-marigold',
          'flex h-20 w-28 shrink-0 items-center justify-center overflow-hidden rounded-lg border border-dashed border-ink-3 bg-paper text-ink-2 hover:border-ink',
        )}
      >
        {picture ? (
          <img src={mediaUrl(picture.media, 480)} alt="" className="size-full object-cover" />
        ) : (
          <span className="flex flex-col items-center gap-1 text-xs">
            <ImagePlus size={16} aria-hidden="true" /> drop or choose
          </span>
        )}
        <span className="sr-only">Choose a picture</span>
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        aria-label="Picture of the group"
        className="hidden"
        onChange={(event) => {
          if (event.target.files?.length) send.mutate([...event.target.files]);
          event.target.value = '';
        }}
      />
      {picture ? (
        <div className="min-w-0 flex-1">
          <TextField label="What the picture shows" {...editor.bind('alt')} />
          <Button look="bare" className="mt-1" onClick={() => editor.change({ picture: null })}>
            <Trash2 size={12} aria-hidden="true" /> Take it away
          </Button>
        </div>
      ) : (
        <p className="pt-1 text-xs text-ink-2">
          {send.isPending
            ? 'Taking it in …'
            : 'Shown beside the title of its page and on its tile. Without a picture, the first product is shown.'}
        </p>
      )}
    </div>
  );
}

/** What a group is called, says and shows on its own page, and tells search engines. `children` come after the text. */
export function GroupPageFields({ kind, path, editor, id, children }: Props) {
  const slug = editor.value('slug');
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        <TextField label="Name" {...editor.bind('name')} />
        <TextField label="Address" hint={`…/${path}/${slug}; the old one forwards`} {...editor.bind('slug')} />
      </div>
      <TextArea label="Text" rows={2} hint="Shoppers read it above the goods" {...editor.bind('text')} />
      <PictureField kind={kind} id={id} editor={editor} />
      {children}
      <details className="rounded-lg border border-hair px-3 py-2">
        <summary className="font-semibold">In search engines</summary>
        <div className="mt-2 flex flex-col gap-3">
          <TextField label="Meta title" hint="Empty: its name and the shop’s" {...editor.bind('metaTitle')} />
          <TextArea label="Meta description" rows={2} hint="Empty: its text" {...editor.bind('metaDescription')} />
          <Tick
            label="Search engines may list its page"
            checked={!editor.value('noindex')}
            change={(may) => editor.change({ noindex: !may })}
          />
        </div>
      </details>
    </>
  );
}
