import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { fileFormats, type FileFormat } from '../../../contract/exchange';
import { EMPTY_RULE } from '../../../core/model/rule';
import { useJobs } from '../../data/bulk';
import { useViews } from '../../data/goods';
import { useExports, useMakeFile } from '../../data/exchange';
import { RuleField } from '../../shared/rules/rule-field';
import { useTrayWhich } from '../../shared/tray-store';
import { Button } from '../../shared/ui/button';
import { fileSize } from '../../shared/ui/file-size';
import { OneOf } from '../../shared/ui/one-of';
import { ExportColumns } from './export-columns';
import { Select } from '../../shared/ui/select';
import { Failed, Loading } from '../../shared/ui/states';
import { useRemembered } from '../../shared/ui/use-remembered';
import { tellRefused } from '../../data/tell-refused';

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

/** Where the goods come from. */
type From = 'tray' | 'all' | 'view' | 'rule';

/** Which goods go out, as what, and with which columns; with the files of the last week. */
export function TakeOut() {
  const { data, error } = useExports();
  const make = useMakeFile();
  const tray = useTrayWhich();
  const hasTray = tray.ids.length > 0 || tray.matching !== null;
  const { data: kept } = useViews();
  const views = kept?.views ?? [];
  const [wanted, setWanted] = useState<From>('tray');
  const [viewId, setViewId] = useState('');
  const [rule, setRule] = useState(EMPTY_RULE);
  const [format, setFormat] = useState<FileFormat>('csv');
  const [per, setPer] = useState<'variants' | 'products'>('variants');
  const [columns, setColumns] = useRemembered<string[]>('export.columns', USUAL);
  const { data: jobs } = useJobs();
  const making =
    jobs?.jobs.filter(({ label, state }) => label === 'Making a file of goods' && state === 'running').length ?? 0;
  const client = useQueryClient();
  useEffect(() => void client.invalidateQueries({ queryKey: ['exports'] }), [client, making]);
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={6} />;
  const known = new Set(data.fields.map(({ key }) => key));
  const inOrder = columns.filter((key) => known.has(key));
  const from = wanted === 'tray' && !hasTray ? 'all' : wanted;
  const view = views.find(({ id }) => id === viewId) ?? views[0];
  const which = {
    tray,
    all,
    view: { ids: [], matching: { text: view?.text ?? '', rule: view?.rule ?? EMPTY_RULE } },
    rule: { ids: [], matching: { text: '', rule } },
  }[from];
  const go = () =>
    make.mutate(
      { which, format, per, columns: inOrder },
      {
        onSuccess: ({ file }) => {
          if (!file) return void toast.success('The file is being made. It stands in the list when it is ready.');
          const link = document.createElement('a');
          link.href = `/api/exports/${file.id}/file`;
          link.download = file.name;
          link.click();
        },
        onError: tellRefused,
      },
    );
  return (
    <div className="flex flex-wrap items-start gap-6">
      <section aria-label="A file of goods" className="sheet w-full max-w-3xl p-5">
        <div className="flex flex-wrap gap-x-8 gap-y-4">
          <OneOf
            label="Which goods"
            value={from}
            choices={[
              ...(hasTray ? [{ value: 'tray', label: 'those in the tray' }] : []),
              { value: 'all', label: 'all goods' },
              ...(views.length > 0 ? [{ value: 'view', label: 'a view' }] : []),
              { value: 'rule', label: 'by rule' },
            ]}
            choose={(value) => setWanted(value as From)}
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
        {from === 'view' && (
          <div className="mt-3">
            <Select
              label="View"
              value={view?.id ?? ''}
              choices={views.map(({ id, name }) => ({ value: id, label: name }))}
              choose={setViewId}
            />
          </div>
        )}
        {from === 'rule' && (
          <div className="mt-3">
            <RuleField rule={rule} change={setRule} />
          </div>
        )}
        <ExportColumns fields={data.fields} sets={data.sets} usual={USUAL} columns={columns} change={setColumns} />
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
