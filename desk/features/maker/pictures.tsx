import { useRef } from 'react';
import { toast } from 'sonner';
import { mediaUrl } from '../../../core/storefront/picture-sizes';
import { useMakerWrites } from '../../data/maker';
import { Button } from '../../shared/ui/button';
import { Thumb } from '../../shared/ui/thumb';
import type { PartProps } from './numbers';
import { tellRefused } from '../../data/tell-refused';

/** Pictures that are there, and those that are proposed beside them. */
export function Pictures({ good, draft, change }: PartProps) {
  const { addPictures } = useMakerWrites();
  const file = useRef<HTMLInputElement>(null);
  const bring = (files: File[]) =>
    addPictures.mutate(files, {
      onSuccess: ({ pictures, refused }) => {
        change((before) => {
          const known = new Set([...good.pictures, ...before.pictures].map(({ media }) => media));
          return { ...before, pictures: [...before.pictures, ...pictures.filter(({ media }) => !known.has(media))] };
        });
        for (const { file: name, message } of refused) toast.error(`${name}: ${message}`);
      },
      onError: tellRefused,
    });
  return (
    <div className="flex flex-wrap items-center gap-2">
      {good.pictures.map(({ media }) => (
        <Thumb key={media} src={mediaUrl(media, 160)} alt="picture in the shop" className="size-16" />
      ))}
      {draft.pictures.map(({ media }, i) => (
        <span key={media} className="relative">
          <Thumb src={mediaUrl(media, 160)} alt="picture you propose" className="size-16 ring-2 ring-marigold" />
          <Button
            look="bare"
            aria-label={`Drop proposed picture ${i + 1}`}
            className="absolute -right-1 -top-1 !bg-sheet !px-1 !py-0 text-xs"
            onClick={() =>
              change((before) => ({ ...before, pictures: before.pictures.filter((each) => each.media !== media) }))
            }
          >
            ×
          </Button>
        </span>
      ))}
      <input
        ref={file}
        type="file"
        multiple
        accept="image/*"
        aria-label="Pictures to propose"
        className="sr-only"
        onChange={({ target }) => {
          if (target.files?.length) bring([...target.files]);
          target.value = '';
        }}
      />
      <Button disabled={addPictures.isPending} onClick={() => file.current?.click()}>
        {addPictures.isPending ? 'Bringing …' : 'Add pictures'}
      </Button>
    </div>
  );
}
