import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { Plus, Trash2 } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { mediaUrl } from '../../../../core/storefront/picture-sizes';
import type { Picture } from '../../../../core/model/product-values';
import { pictureWords } from '../../../../core/products/variants';
import { call, upload as uploadFiles, wordsOf } from '../../../data/api';
import { newId } from '../../../shared/new-id';
import { useKeepProduct } from '../../../data/goods';
import { Part } from './part';
import { PictureEditor } from './picture-editor';
import { PictureTies } from './picture-ties';
import { FRAME, frameClass, frameStyle, isTooSmall } from '../../../shared/ui/picture-frame';
import { useDragSensors } from '../../../shared/ui/drag';
import { isPicture, useFileDrop } from '../../../shared/ui/file-drop';

function Tile({
  picture,
  isFace,
  open,
  remove,
}: {
  picture: Picture;
  isFace: boolean;
  open: () => void;
  remove: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: picture.id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={clsx('group relative shrink-0', isFace ? 'size-[104px]' : 'size-20', isDragging && 'z-10 opacity-80')}
    >
      <img
        {...attributes}
        {...listeners}
        src={mediaUrl(picture.media, 160)}
        alt={picture.alt || 'Picture without words'}
        draggable={false}
        onDoubleClick={open}
        className={clsx('size-full cursor-grab touch-none rounded-[10px] bg-sunk', frameClass(picture))}
        style={frameStyle(picture)}
      />
      {isTooSmall(picture) && (
        <span
          className="absolute right-1 top-1 rounded bg-rose-soft px-1 text-xs font-semibold text-rose-ink"
          title={`${picture.width} × ${picture.height} pixels: the shop's frame needs ${FRAME} on its shorter side`}
        >
          small
        </span>
      )}
      {isFace && <span className="absolute left-1.5 top-1.5 rounded bg-sheet px-1.5 text-xs font-semibold">face</span>}
      <span className="absolute inset-x-0 bottom-0 flex justify-center gap-1 rounded-b-[10px] bg-ink/70 focus-within:opacity-100 group-hover:opacity-100 max-md:!opacity-100 pointer-fine:opacity-0">
        <button type="button" onClick={open} className="min-h-6 px-1 text-xs text-sheet hover:underline">
          edit
        </button>
        <button
          type="button"
          onClick={remove}
          aria-label="Delete this picture"
          className="grid size-6 place-items-center text-sheet"
        >
          <Trash2 size={12} aria-hidden="true" />
        </button>
      </span>
    </li>
  );
}

export function Pictures({ answer }: { answer: ProductAnswer }) {
  const { product, revision } = answer;
  const keep = useKeepProduct();
  const input = useRef<HTMLInputElement>(null);
  const [coming, setComing] = useState<{ key: string; done: number }[]>([]);
  const [refused, setRefused] = useState<{ file: string; message: string }[]>([]);
  const [edited, setEdited] = useState<Picture | null>(null);
  const sensors = useDragSensors();
  const params = { id: product.id };

  /** the write under way, which the next one waits for, and the revision that it reached */
  const writing = useRef<Promise<number>>(Promise.resolve(0));
  const set = (pictures: readonly Picture[]) => {
    keep({ ...answer, product: { ...product, pictures: [...pictures] } });
    const wanted = pictures.map(({ id, alt, focus, fit }) => ({ id, alt, focus, fit }));
    writing.current = writing.current.then(async (reached) => {
      try {
        const body = { seen: Math.max(revision, reached), pictures: wanted };
        const saved = await call(routes.goods.setPictures, { params, body });
        keep(saved);
        return saved.revision;
      } catch (error) {
        keep(answer);
        toast.error(wordsOf(error));
        return reached;
      }
    });
  };
  const upload = async (files: readonly File[], replace?: string) => {
    setRefused([]);
    const rows = files.map((file) => ({ key: `${newId('q')} ${file.name}`, done: 0, file }));
    setComing((now) => [...now, ...rows]);
    // One by one: each appears as soon as it is there, and one that is refused stops no other.
    for (const { key, file } of rows) {
      const tell = (done: number) => setComing((now) => now.map((each) => (each.key === key ? { key, done } : each)));
      try {
        keep(await uploadFiles(routes.goods.addPictures, { params, query: { replace }, files: [file] }, tell));
      } catch (error) {
        setRefused((before) => [...before, { file: file.name, message: wordsOf(error) }]);
      }
      setComing((now) => now.filter((each) => each.key !== key));
    }
  };
  const latestUpload = useRef(upload);
  useEffect(() => {
    latestUpload.current = upload;
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])].filter(({ type }) => type.startsWith('image/'));
      if (files.length === 0) return;
      event.preventDefault();
      void latestUpload.current(files);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, []);
  const isOver = useFileDrop(isPicture, (files) => void upload(files));
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const at = (id: unknown) => product.pictures.findIndex((picture) => picture.id === id);
    set(arrayMove(product.pictures, at(active.id), at(over.id)));
  };

  return (
    <Part
      id="pictures"
      title="Pictures"
      hint="the first one is the face of the product · drag to order · drop files anywhere on this page, or paste them"
    >
      <div className={clsx('rounded-[10px]', isOver && 'bg-marigold-soft outline-2 outline-dashed outline-marigold')}>
        <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
          <SortableContext items={product.pictures} strategy={rectSortingStrategy}>
            <ul className="flex flex-wrap items-end gap-2">
              {product.pictures.map((picture, i) => (
                <Tile
                  key={picture.id}
                  picture={picture}
                  isFace={i === 0}
                  open={() => setEdited(picture)}
                  remove={() => set(product.pictures.filter(({ id }) => id !== picture.id))}
                />
              ))}
              {coming.map(({ key, done }) => (
                <li
                  key={key}
                  className="flex size-20 flex-col items-center justify-center gap-1.5 rounded-[10px] bg-sunk"
                >
                  <progress
                    value={done}
                    max={1}
                    aria-label={`Upload of ${key.slice(key.indexOf(' ') + 1)}`}
                    className="h-1.5 w-14 accent-petrol"
                  />
                  <span className="text-xs text-ink-2">{done < 1 ? `${Math.round(done * 100)} %` : 'sizing …'}</span>
                </li>
              ))}
              <li>
                <button
                  type="button"
                  onClick={() => input.current?.click()}
                  className="flex size-20 flex-col items-center justify-center gap-1 rounded-[10px] border border-dashed border-ink-3 text-ink-2 hover:border-ink hover:text-ink"
                >
                  <Plus size={16} aria-hidden="true" />
                  add
                </button>
              </li>
            </ul>
          </SortableContext>
        </DndContext>
        <input
          ref={input}
          type="file"
          accept="image/*"
          multiple
          className="sr-only"
          aria-label="Add pictures"
          tabIndex={-1}
          onChange={(event) => {
            void upload([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </div>
      {refused.length > 0 && (
        <div role="alert" className="mt-3 rounded-[10px] bg-rose-soft px-3 py-2 text-rose-ink">
          <ul>
            {refused.map(({ file, message }) => (
              <li key={file}>
                <strong>{file}</strong>: {message}
              </li>
            ))}
          </ul>
        </div>
      )}
      {edited && (
        <PictureEditor
          key={edited.id}
          picture={edited}
          suggestion={pictureWords(product, edited.id)}
          replace={(file) => void upload([file], edited.id)}
          close={() => setEdited(null)}
          save={(changed) => set(product.pictures.map((picture) => (picture.id === changed.id ? changed : picture)))}
        >
          <PictureTies answer={answer} pictureId={edited.id} />
        </PictureEditor>
      )}
    </Part>
  );
}
