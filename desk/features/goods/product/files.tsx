import { Plus, X } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { MAX_FILE_BYTES, sizeWords, type FileRole, type ProductFile } from '../../../../core/model/product-file';
import { kindParts } from '../../../../core/products/kinds';
import { variantName } from '../../../../core/products/variants';
import { upload, wordsOf } from '../../../data/api';
import type { Autosave } from '../../../shared/autosave/autosave';
import { Button } from '../../../shared/ui/button';
import { MeasureField } from '../../../shared/ui/measure-field';
import { readWholeOrNone } from '../../../shared/ui/readings';
import { isPicture, useFileDrop } from '../../../shared/ui/file-drop';
import { Select } from '../../../shared/ui/select';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { TextField } from '../../../shared/ui/field';
import { useKeepProduct } from '../../../data/goods';
import { useProductField } from './use-product-autosave';
import { Part } from './part';

const roleWords: Record<FileRole, { title: string; hint: string; add: string }> = {
  download: { title: 'For buyers', hint: 'never to be had by its address alone', add: 'Add a download' },
  sample: { title: 'Sample', hint: 'for all, to look at before buying', add: 'Add a sample' },
  manual: { title: 'Manuals', hint: 'for all, on the product page', add: 'Add a manual' },
};

interface Coming {
  name: string;
  /** 0 to 1 */
  done: number;
  problem: string | null;
}

interface RowProps {
  file: ProductFile;
  answer: ProductAnswer;
  grip: ReactNode;
  change: (file: ProductFile) => void;
  remove: () => void;
}

function FileRow({ file, answer: { product }, grip, change, remove }: RowProps) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      {grip}
      <div className="w-72">
        <TextField
          label={`Name of ${file.name}`}
          hideLabel
          value={file.name}
          onChange={(event) => change({ ...file, name: event.target.value })}
        />
      </div>
      <span className="w-16 text-right text-ink-2">{sizeWords(file.bytes)}</span>
      {file.role === 'download' && product.variants.length > 1 && (
        <Select
          label={`Variant of ${file.name}`}
          value={file.variantId ?? ''}
          choices={[
            { value: '', label: 'with every variant' },
            ...product.variants.map((variant) => ({
              value: variant.id,
              label: variantName(product.options, variant),
            })),
          ]}
          choose={(id) => change({ ...file, variantId: id || null })}
        />
      )}
      <a href={`/preview/files/${product.id}/${file.id}`} className="text-petrol hover:underline" download={file.name}>
        look
      </a>
      <button
        type="button"
        aria-label={`Remove ${file.name}`}
        onClick={remove}
        className="rounded p-1 text-ink-2 hover:text-rose"
      >
        <X size={13} aria-hidden="true" />
      </button>
    </div>
  );
}

function Role({ role, answer, save }: { role: FileRole; answer: ProductAnswer; save: Autosave }) {
  const { product } = answer;
  const keep = useKeepProduct();
  const input = useRef<HTMLInputElement>(null);
  const [coming, setComing] = useState<Coming[]>([]);
  const { value: files, change } = useProductField(save, 'files');
  const own = files.filter((file) => file.role === role);
  const others = files.filter((file) => file.role !== role);
  const words = roleWords[role];
  const send = async (chosen: readonly File[]) => {
    setComing(chosen.map(({ name }) => ({ name, done: 0, problem: null })));
    for (const [at, file] of chosen.entries()) {
      const tell = (part: Partial<Coming>) =>
        setComing((now) => now.map((each, i) => (i === at ? { ...each, ...part } : each)));
      if (file.size > MAX_FILE_BYTES) {
        tell({ problem: `This file has ${sizeWords(file.size)}; a file may have up to 300 MB.` });
        continue;
      }
      try {
        keep(
          await upload(routes.goods.addFile, { params: { id: product.id }, query: { role }, files: [file] }, (done) =>
            tell({ done }),
          ),
        );
        tell({ done: 1 });
      } catch (error) {
        tell({ problem: wordsOf(error) });
      }
    }
    setComing((now) => now.filter(({ problem }) => problem !== null));
  };
  // What is dropped on the page and is no picture is a download where there are any, and a manual elsewhere.
  const isMeant = role === (kindParts[product.kind].downloads ? 'download' : 'manual');
  const isOver = useFileDrop(
    (file) => isMeant && !isPicture(file),
    (dropped) => void send(dropped),
  );
  return (
    <div
      className={isOver && isMeant ? 'rounded-[10px] bg-marigold-soft outline-2 outline-dashed outline-marigold' : ''}
    >
      <div className="flex flex-wrap items-baseline gap-x-2">
        <span className="font-semibold">{words.title}</span>
        <span className="text-xs text-ink-2">{words.hint}</span>
      </div>
      <SortableRows
        className="mt-1 flex flex-col gap-1.5"
        items={own}
        keyOf={({ id }) => id}
        reorder={(next) => change([...others, ...next])}
        draw={(file, grip) => (
          <FileRow
            file={file}
            answer={answer}
            grip={grip}
            change={(next) => change(files.map((each) => (each.id === file.id ? next : each)))}
            remove={() => change(files.filter(({ id }) => id !== file.id))}
          />
        )}
      />
      <ul aria-live="polite">
        {coming.map(({ name, done, problem }) => (
          <li key={name} className="flex items-center gap-2 py-1">
            <span className="max-w-72 truncate">{name}</span>
            {problem ? (
              <span role="alert" className="text-rose-ink">
                {problem}
              </span>
            ) : (
              <>
                <progress value={done} max={1} aria-label={`Upload of ${name}`} className="h-1.5 w-40 accent-petrol" />
                <span className="text-ink-2">{Math.round(done * 100)} %</span>
              </>
            )}
          </li>
        ))}
      </ul>
      <Button look="bare" className="-ml-2" onClick={() => input.current?.click()}>
        <Plus size={13} aria-hidden="true" /> {words.add}
      </Button>
      <input
        ref={input}
        type="file"
        multiple
        className="sr-only"
        aria-label={words.add}
        tabIndex={-1}
        onChange={(event) => {
          void send([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </div>
  );
}

/** Files of a product: what buyers download, what all may look at. */
export function Files({ answer, save }: { answer: ProductAnswer; save: Autosave }) {
  const { product } = answer;
  const isDigital = kindParts[product.kind].downloads;
  const limit = useProductField(save, 'downloadLimit');
  const days = useProductField(save, 'downloadDays');
  const { error } = useProductField(save, 'files');
  const shown = (value: number | null) => (value === null ? '' : String(value));
  return (
    <Part id="files" title={isDigital ? 'Files' : 'Manuals'} hint="up to 300 MB each">
      <div className="flex flex-col gap-3">
        {isDigital && (
          <>
            <Role role="download" answer={answer} save={save} />
            <div className="flex gap-4">
              <MeasureField
                label="How often each can be fetched"
                placeholder="no limit"
                shown={shown(limit.value)}
                read={readWholeOrNone}
                error={limit.error}
                unsaved={limit.unsaved}
                change={(value) => limit.change(value as number | null)}
                className="!w-28"
              />
              <MeasureField
                label="For how many days"
                placeholder="no end"
                shown={shown(days.value)}
                read={readWholeOrNone}
                error={days.error}
                unsaved={days.unsaved}
                change={(value) => days.change(value as number | null)}
                className="!w-28"
              />
            </div>
            <Role role="sample" answer={answer} save={save} />
          </>
        )}
        <Role role="manual" answer={answer} save={save} />
      </div>
      {error && (
        <p role="alert" className="mt-2 text-rose-ink">
          {error}
        </p>
      )}
    </Part>
  );
}
