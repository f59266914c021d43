import { useCallback, useDeferredValue } from 'react';
import { elsewhereRoutes } from '../../../contract/elsewhere';
import { feedFormats, type Feed, type FeedFormat } from '../../../core/model/feed';
import { plainAmount } from '../../../core/shared/money';
import { call, wordsOf } from '../../data/api';
import { useFeedPreview, useFeedWrites, type FeedRow } from '../../data/elsewhere';
import { useAutosave, useField, useText } from '../../shared/autosave/use-autosave';
import { GoodsChip } from '../../shared/goods-chip';
import { LanguageChoice } from '../../shared/pickers/language-choice';
import { Button } from '../../shared/ui/button';
import { Clashes } from '../../shared/ui/clashes';
import { useConfirm } from '../../shared/ui/confirm';
import { CopiedText } from '../../shared/ui/copied-text';
import { count } from '../../shared/ui/count';
import { MeasureField } from '../../shared/ui/measure-field';
import { OneOf } from '../../shared/ui/one-of';
import { readDearer, readExtra } from '../../shared/ui/readings';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Select } from '../../shared/ui/select';
import { SwingTag } from '../../shared/ui/swing-tag';
import { Tick } from '../../shared/ui/tick';
import { FeedFields } from './feed-fields';
import { FeedVerdicts } from './feed-verdicts';
import { tellRefused } from '../../data/tell-refused';

const formats = (Object.keys(feedFormats) as FeedFormat[]).map((value) => ({ value, label: feedFormats[value].name }));
/** Their fields are what a standard says they are. */
const hasOwnFields = (format: FeedFormat) => format !== 'jsonld' && format !== 'atom';
const dayAndTime = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

interface Props {
  row: FeedRow;
  values: readonly { key: string; label: string }[];
  channels: readonly { key: string; name: string; asks: readonly string[] }[];
  open: (id: string | null) => void;
}

/** A feed: which goods, what it tells of each and how, where it is fetched, and what a channel makes of it. */
export function FeedSheet({ row: { feed, address, isLive, fetched, fetches }, values, channels, open }: Props) {
  const { add, remove, newAddress } = useFeedWrites();
  const [ask, dialog] = useConfirm();
  const shown = useCallback((key: string): unknown => feed[key as keyof Feed], [feed]);
  const save = useAutosave(shown, 0, {
    save: async ({ values: typed, was }) => ({
      saved: (await call(elsewhereRoutes.changeFeed, { params: { id: feed.id }, body: { ...typed, was } })).feed,
    }),
    keyOf: (path) => String(path[0]),
  });
  const name = useText(save, 'name');
  const goods = useField<Feed['goods']>(save, 'goods');
  const per = useField<Feed['per']>(save, 'per');
  const format = useField<FeedFormat>(save, 'format');
  const fields = useField<Feed['fields']>(save, 'fields');
  const dearer = useField<number>(save, 'dearer');
  const more = useField<number>(save, 'more');
  const soldOut = useField<boolean>(save, 'soldOut');
  const channel = useField<string | null>(save, 'channel');
  const locale = useField<string | undefined>(save, 'locale');
  const draft = useDeferredValue({
    goods: goods.value,
    per: per.value,
    format: format.value,
    fields: fields.value,
    dearer: dearer.value,
    more: more.value,
    soldOut: soldOut.value,
    locale: locale.value,
  });
  const { data: preview, error } = useFeedPreview(feed.id, draft);
  const read = channels.find(({ key }) => key === channel.value);
  return (
    <div className="grid items-start gap-4 xl:grid-cols-2">
      {dialog}
      <section aria-label={feed.name} className="sheet flex min-w-0 flex-col gap-3 p-4">
        <div className="flex flex-wrap items-center gap-2">
          <input
            aria-label="Name of the feed"
            value={name.value}
            onChange={name.onChange}
            aria-invalid={name.error ? true : undefined}
            className="min-w-0 flex-1 rounded-md border border-transparent bg-transparent px-1 font-display text-lg font-bold hover:border-line aria-[invalid=true]:border-rose"
          />
          {isLive ? <SwingTag look="petrol">live</SwingTag> : <SwingTag look="marigold">not live yet</SwingTag>}
          <SaveStateWords save={save} />
        </div>
        {name.error && (
          <p role="alert" className="text-rose-ink">
            {name.error}
          </p>
        )}
        <Clashes save={save} />
        <div className="flex flex-wrap items-center gap-x-1.5 gap-y-2 text-ink-2">
          lists
          <GoodsChip goods={goods.value} change={goods.change} error={goods.error} />
          as
          <Select
            label="Format"
            value={format.value}
            choices={formats}
            choose={(next) => format.change(next as FeedFormat)}
          />
          for
          <Select
            label="Who fetches it"
            value={channel.value ?? ''}
            choices={[
              { value: '', label: 'anybody with its address' },
              ...channels.map(({ key, name: called }) => ({ value: key, label: called })),
            ]}
            choose={(key) => channel.change(key === '' ? null : key)}
          />
        </div>
        <LanguageChoice value={locale.value ?? ''} change={locale.change} />
        <OneOf
          label="An entry for each"
          choices={[
            { value: 'variants', label: 'variant' },
            { value: 'products', label: 'product' },
          ]}
          value={per.value}
          choose={(next) => per.change(next as Feed['per'])}
        />
        <div className="flex flex-wrap gap-3">
          <span className="w-40">
            <MeasureField
              label="Prices higher by"
              hint="With a minus, lower."
              shown={`${dearer.value / 100} %`}
              read={readDearer}
              change={(next) => dearer.change(next as number)}
              error={dearer.error}
            />
          </span>
          <span className="w-40">
            <MeasureField
              label="plus an amount of"
              shown={plainAmount(more.value)}
              read={readExtra}
              change={(next) => more.change(next as number)}
              error={more.error}
            />
          </span>
        </div>
        <Tick label="Include goods that are sold out" checked={soldOut.value} change={soldOut.change} />
        {hasOwnFields(format.value) ? (
          <FeedFields fields={fields.value} values={values} error={fields.error} change={fields.change} />
        ) : (
          <p className="text-ink-2">The standard of this format says what it contains.</p>
        )}
        <div className="mt-1 flex flex-wrap gap-2">
          <Button
            disabled={add.isPending}
            onClick={() =>
              add.mutate(
                { name: `${feed.name}, copy`, like: feed.id },
                { onSuccess: ({ id }) => open(id), onError: tellRefused },
              )
            }
          >
            Copy it
          </Button>
          <Button
            look="bare"
            className="!text-rose-ink"
            onClick={() =>
              ask({
                title: `Delete the feed “${feed.name}”?`,
                detail: 'With the next edition, whoever fetches it finds nothing. It can be undone.',
                doIt: 'Delete it',
                run: () => remove.mutate(feed.id, { onSuccess: () => open(null), onError: tellRefused }),
              })
            }
          >
            Delete
          </Button>
        </div>
      </section>
      <div className="flex min-w-0 flex-col gap-4">
        <section aria-label="Its address" className="sheet p-4">
          <h2 className="mb-1 font-display text-base font-bold">Its address</h2>
          <CopiedText label="Address of the feed" text={address} />
          <p className="mt-2 text-xs text-ink-2">
            {fetched
              ? `Fetched ${count(fetches)} ${fetches === 1 ? 'time' : 'times'}, last on ${dayAndTime.format(new Date(fetched))}.`
              : 'Nobody has fetched it yet.'}{' '}
            It lists what is live, and is written again with each edition.{' '}
            <button
              type="button"
              className="text-petrol-ink hover:underline"
              onClick={() =>
                ask({
                  title: 'Give it another address?',
                  detail:
                    'Whoever fetches it now finds nothing at once, until you tell them the new one. This cannot be undone.',
                  doIt: 'Another address',
                  run: () => newAddress.mutate(feed.id, { onError: tellRefused }),
                })
              }
            >
              Give it another address
            </button>
          </p>
        </section>
        {read && <FeedVerdicts id={feed.id} name={read.name} asks={read.asks} />}
        <section aria-label="Preview" className="sheet min-w-0 p-4">
          <h2 className="mb-1 font-display text-base font-bold">
            Preview{' '}
            {preview && (
              <span className="font-sans text-xs font-semibold text-ink-2">
                {count(preview.entries)} entries in all
              </span>
            )}
          </h2>
          {error ? (
            <p role="alert" className="text-rose-ink">
              {wordsOf(error)}
            </p>
          ) : (
            <pre className="max-h-80 overflow-auto whitespace-pre-wrap break-all rounded-lg bg-sunk p-2 text-xs">
              {preview?.text ?? '…'}
            </pre>
          )}
        </section>
      </div>
    </div>
  );
}
