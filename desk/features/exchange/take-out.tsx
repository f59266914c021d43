import { useState } from 'react';
import { toast } from 'sonner';
import { fileFormats, type FileFormat } from '../../../contract/exchange';
import { EMPTY_RULE } from '../../../core/model/rule';
import { useExports, useMakeFile } from '../../data/exchange';
import { wordsOf } from '../../data/api';
import { useTrayWhich } from '../../shared/tray-store';
import { Button } from '../../shared/ui/button';
import { fileSize } from '../../shared/ui/file-size';
import { OneOf } from '../../shared/ui/one-of';
import { Failed, Loading } from '../../shared/ui/states';
import { Tick } from '../../shared/ui/tick';
import { useRemembered } from '../../shared/ui/use-remembered';

const formatWords: Record<FileFormat, string> = { csv: 'CSV', xlsx: 'Workbook (XLSX)', json: 'JSON' };
/** Columns that a file has until others are chosen. */
const USUAL = [
  'slug',
  'title',
  'status',
  'brandId',
  'categoryIds',
  'tagIds',
  'option 1 name',
  'option 1 value',
  'option 2 name',
  'option 2 value',
  'variant sku',
  'variant barcode',
  'variant price',
  'variant salePrice',
  'variant cost',
  'variant stock',
];
const all = { ids: [], matching: { text: '', rule: EMPTY_RULE } };

/** Which goods go out, as what, and with which columns; with the files of the last week. */
export function TakeOut() {
  const { data, error } = useExports();
  const make = useMakeFile();
  const tray = useTrayWhich();
  const hasTray = tray.ids.length > 0 || tray.matching !== null;
  const [fromTray, setFromTray] = useState(true);
  const [format, setFormat] = useState<FileFormat>('csv');
  const [per, setPer] = useState<'variants' | 'products'>('variants');
  const [columns, setColumns] = useRemembered<string[]>('export.columns', USUAL);
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={6} />;
  const chosen = new Set(columns);
  const inOrder = data.fields.filter(({ key }) => chosen.has(key)).map(({ key }) => key);
  const isTray = hasTray && fromTray;
  const go = () =>
    make.mutate(
      { which: isTray ? tray : all, format, per, columns: inOrder },
      {
        onSuccess: ({ id, name }) => {
          const link = document.createElement('a');
          link.href = `/api/exports/${id}/file`;
          link.download = name;
          link.click();
        },
        onError: (failure) => void toast.error(wordsOf(failure)),
      },
    );
  return (
    <div className="flex flex-wrap items-start gap-6">
      <section aria-label="A file of goods" className="sheet w-full max-w-3xl p-5">
        <div className="flex flex-wrap gap-x-8 gap-y-4">
          <OneOf
            label="Which goods"
            value={isTray ? 'tray' : 'all'}
            choices={[
              ...(hasTray ? [{ value: 'tray', label: 'those in the tray' }] : []),
              { value: 'all', label: 'all goods' },
            ]}
            choose={(value) => setFromTray(value === 'tray')}
          />
          <OneOf
            label="As"
            value={format}
            choices={fileFormats.map((value) => ({ value, label: formatWords[value] }))}
            choose={(value) => setFormat(value as FileFormat)}
          />
          <OneOf
            label="One row for each"
            value={per}
            choices={[
              { value: 'variants', label: 'variant' },
              { value: 'products', label: 'product' },
            ]}
            choose={(value) => setPer(value as 'variants' | 'products')}
          />
        </div>
        {!hasTray && <p className="mt-2 text-ink-2">To take out some of them, put them into the tray first.</p>}
        <fieldset className="mt-5">
          <legend className="flex w-full items-baseline gap-3">
            <span className="font-semibold">Columns</span>
            <button
              type="button"
              className="text-petrol-ink hover:underline"
              onClick={() => setColumns(data.fields.map(({ key }) => key))}
            >
              all of them
            </button>
            <button type="button" className="text-petrol-ink hover:underline" onClick={() => setColumns(USUAL)}>
              the usual ones
            </button>
          </legend>
          <div className="mt-1 grid max-h-80 grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-4 overflow-y-auto rounded-lg border border-hair px-3 py-1">
            {data.fields.map(({ key, label, explains }) => (
              <span key={key} title={explains}>
                <Tick
                  label={label}
                  checked={chosen.has(key)}
                  change={(is) => setColumns(is ? [...columns, key] : columns.filter((each) => each !== key))}
                />
              </span>
            ))}
          </div>
        </fieldset>
        <div className="mt-4 flex items-center gap-3">
          <Button look="main" disabled={inOrder.length === 0 || make.isPending} onClick={go}>
            {make.isPending ? 'Making the file …' : 'Make the file'}
          </Button>
          {inOrder.length === 0 && <span className="text-rose-ink">Choose at least one column.</span>}
        </div>
      </section>
      {data.files.length > 0 && (
        <section aria-label="Files of the last week" className="min-w-64">
          <h2 className="mb-2 font-display text-lg font-bold">Files of the last week</h2>
          <ul className="sheet divide-y divide-hair px-4">
            {data.files.map(({ id, name, bytes, at }) => (
              <li key={id} className="py-2">
                <a href={`/api/exports/${id}/file`} download={name} className="font-semibold hover:underline">
                  {name}
                </a>
                <span className="block text-xs text-ink-2">
                  {fileSize(bytes)}, {new Date(at).toLocaleString('en-GB', { dateStyle: 'medium', timeStyle: 'short' })}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
