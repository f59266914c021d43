import { useQuery } from '@tanstack/react-query';
import { Columns3 } from 'lucide-react';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import { EMPTY_RULE, ruleSchema } from '../../../core/model/rule';
import { call, CallError, wordsOf } from '../../data/api';
import { useUnsaved } from '../../shared/autosave/unsaved';
import { useJobs, type WhichInput } from '../../data/bulk';
import { useTrayWhich } from '../../shared/tray-store';
import { useGoodsFields, useSpecSheets } from '../../data/goods';
import { Button } from '../../shared/ui/button';
import { products as productCount, variants as variantCount } from '../../shared/ui/count';
import { useLocalUndo } from '../../shared/ui/local-undo';
import { useTitle } from '../../shared/ui/use-title';
import { Select } from '../../shared/ui/select';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { TickList } from '../../shared/ui/tick-list';
import { useRemembered } from '../../shared/ui/use-remembered';
import { BlockStore } from '../../shared/grid/block-store';
import { ColumnWork } from './column-work';
import { sheetColumns, usualSheetColumns } from './sheet-columns';
import { SheetGrid } from './sheet-grid';
import { useSheet, type Draft } from './use-sheet';

/** Which goods the sheet was opened with: the tray, or those of a search. */
function useOpenedWith(): { which: WhichInput; words: string } {
  const [params] = useSearchParams();
  const tray = useTrayWhich();
  const [opened] = useState(() => {
    if (params.get('of') === 'tray') return { which: tray, words: 'the tray' };
    let rule = EMPTY_RULE;
    try {
      rule = ruleSchema.parse(JSON.parse(params.get('if') ?? ''));
    } catch {
      // Without conditions, all goods are meant.
    }
    const text = params.get('q') ?? '';
    return {
      which: { ids: [], matching: { text, rule } },
      words: text || rule.of.length > 0 ? 'what was found' : 'all goods',
    };
  });
  return opened;
}

function useProducts(which: WhichInput) {
  // Which products they are is asked once: a row that no longer matches must not vanish from under the cursor.
  const { data: ids, error } = useQuery({
    queryKey: ['sheet ids', which],
    queryFn: async () => {
      const picked = which.ids ?? [];
      if (!which.matching) return [...picked];
      return [...new Set([...picked, ...(await call(routes.goods.matching, { body: which.matching })).ids])];
    },
    staleTime: Infinity,
    gcTime: 0,
  });
  const sheet = useQuery({
    queryKey: ['sheet', ids],
    queryFn: () => call(routes.sheet.read, { body: { which: { ids: ids! } } }),
    enabled: ids !== undefined,
    placeholderData: (before) => before,
  });
  return { ...sheet, error: error ?? sheet.error };
}

function ChooseColumns({
  all,
  chosen,
  choose,
}: {
  all: readonly { key: string; label: string }[];
  chosen: readonly string[];
  choose: (keys: string[]) => void;
}) {
  return (
    <Popover>
      <PopoverButton as={Button} look="bare">
        <Columns3 size={15} aria-hidden="true" /> Columns
      </PopoverButton>
      <PopoverPanel anchor={{ to: 'bottom start', gap: 6 }} className="sheet z-40 w-60 p-3 shadow-xl">
        <TickList
          label="Find a column"
          choices={all}
          has={(key) => chosen.includes(key)}
          toggle={(key) => choose(chosen.includes(key) ? chosen.filter((each) => each !== key) : [...chosen, key])}
        />
      </PopoverPanel>
    </Popover>
  );
}

const levels = [
  { value: 'variants', label: 'Variants' },
  { value: 'products', label: 'Products' },
];

/** Many products or variants as an editable grid; what was changed is marked until it is saved, as one change. */
export function SheetPage() {
  const { which, words } = useOpenedWith();
  const { data, error, refetch } = useProducts(which);
  const { fields } = useGoodsFields();
  const { data: specs } = useSpecSheets();
  const [level, setLevel] = useState('variants');
  const [chosen, choose] = useRemembered<string[]>('dispona.sheet.columns', [...usualSheetColumns]);
  const [blocks] = useState(() => new BlockStore());
  const block = useSyncExternalStore(blocks.subscribe, blocks.block);
  const [isWorking, setWorking] = useState(false);
  const [saving, setSaving] = useState<string>();
  const seenAtFirst = useRef<number>(undefined);
  const isByVariant = level === 'variants';
  const all = useMemo(() => {
    const choices = (key: string) => fields.find((field) => field.key === key)?.choices ?? [];
    return sheetColumns({
      brands: choices('brand'),
      categories: choices('category'),
      tags: choices('tag'),
      sheets: specs?.sheets ?? [],
    });
  }, [fields, specs]);
  const offered = useMemo(() => all.filter(({ of }) => isByVariant || of === 'product'), [all, isByVariant]);
  const columns = useMemo(() => offered.filter(({ key }) => chosen.includes(key)), [offered, chosen]);
  const products = useMemo(() => data?.products ?? [], [data]);
  const sheet = useSheet(products, isByVariant);

  const tellUnsaved = useUnsaved();
  const { takeBack, doAgain, changed, wrong } = sheet;
  const open = changed + wrong;
  useTitle('Sheet');
  useLocalUndo({ undo: takeBack, redo: doAgain });
  useEffect(() => {
    const words = open === 1 ? 'One cell of the sheet is not saved.' : `${open} cells of the sheet are not saved.`;
    tellUnsaved(open === 0 ? null : { problems: [words], isOnItsWay: false });
  }, [open, tellUnsaved]);

  // A draft answers for the state in which it was typed, even when the sheet was read again since.
  useEffect(() => {
    if (open === 0) seenAtFirst.current = undefined;
    else seenAtFirst.current ??= data?.seen;
  }, [open, data?.seen]);

  const { data: jobs } = useJobs();
  const job = jobs?.jobs.find(({ id }) => id === saving);
  const sent = useRef<ReadonlyMap<string, Draft>>(new Map());
  const { settle } = sheet;
  useEffect(() => {
    if (!job || job.state === 'running' || job.state === 'waiting') return;
    setSaving(undefined);
    if (job.state === 'done') settle(sent.current);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [job?.state]);

  const save = () => {
    const changes = sheet.changes();
    sent.current = sheet.drafts;
    setSaving('asked');
    call(routes.sheet.save, { body: { seen: seenAtFirst.current ?? data!.seen, changes } })
      .then((begun) => {
        if (begun.state !== 'done') return setSaving(begun.id);
        setSaving(undefined);
        settle(sent.current);
        toast(begun.outcome, { description: 'Ctrl + Z takes it back.' });
        void refetch();
      })
      .catch((problem: unknown) => {
        setSaving(undefined);
        if (problem instanceof CallError) sheet.refuse(changes, problem.errors);
        toast.error(wordsOf(problem), { description: 'Nothing was saved yet; the cells say why. The others can be.' });
      });
  };

  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data || fields.length === 0) return <Loading rows={8} />;
  const selectedRows = block ? sheet.rows.slice(block.top, block.bottom + 1) : [];
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex min-h-[52px] flex-wrap items-center gap-2 px-3 py-2">
        <h1 className="font-display text-2xl font-bold">Sheet</h1>
        <span className="text-ink-2">
          {isByVariant ? variantCount(sheet.rows.length) : productCount(sheet.rows.length)} of {words}
          {data.more > 0 && `; ${data.more} more products do not fit into one sheet`}
        </span>
        <Select label="Rows" value={level} choices={levels} choose={setLevel} className="ml-2" />
        <ChooseColumns all={offered} chosen={chosen} choose={choose} />
        <Button look="bare" disabled={columns.length === 0} onClick={() => setWorking(true)}>
          Change a column…
        </Button>
        <span className="ml-auto flex items-center gap-2">
          <span aria-live="polite" className={sheet.wrong > 0 ? 'font-semibold text-rose-ink' : 'text-ink-2'}>
            {sheet.wrong > 0
              ? `${sheet.wrong} ${sheet.wrong === 1 ? 'cell' : 'cells'} cannot be saved: ${sheet.reason}`
              : saving
                ? 'Saving …'
                : ''}
          </span>
          {open > 0 && (
            <Button onClick={sheet.clear} disabled={saving !== undefined}>
              As it was
            </Button>
          )}
          <Button look="main" disabled={changed === 0 || saving !== undefined} onClick={save}>
            Save {changed > 0 && `${wrong > 0 ? 'the other ' : ''}${changed} ${changed === 1 ? 'cell' : 'cells'}`}
          </Button>
        </span>
      </div>
      {sheet.rows.length === 0 ? (
        <Empty title="Nothing to edit">
          Put goods into the tray, or find some in the list, and open the sheet again.
        </Empty>
      ) : (
        <SheetGrid sheet={sheet} columns={columns} blocks={blocks} block={block} />
      )}
      {isWorking && (
        <ColumnWork
          sheet={sheet}
          columns={columns}
          rows={selectedRows}
          column={columns[block?.left ?? 0] ?? columns[0]!}
          close={() => setWorking(false)}
        />
      )}
    </div>
  );
}
