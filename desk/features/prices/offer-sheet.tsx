import { useCallback, useDeferredValue } from 'react';
import { offerRoutes } from '../../../contract/offers';
import type { Offer } from '../../../core/model/offer';
import { offerDoes } from '../../../core/pricing/offer-words';
import { call } from '../../data/api';
import { useOfferPreview, useOfferWrites, type OfferRow } from '../../data/offers';
import { useAutosave, useField, useProgress, useText } from '../../shared/autosave/use-autosave';
import { valueAt } from '../../shared/autosave/step';
import { Button } from '../../shared/ui/button';
import { Clashes } from '../../shared/ui/clashes';
import { useConfirm } from '../../shared/ui/confirm';
import { SaveStateWords } from '../../shared/ui/save-state';
import { SwingTag } from '../../shared/ui/swing-tag';
import { ActionFields } from './action-fields';
import { Chip } from '../../shared/ui/chip';
import { ConditionsChip, FloorChip, StacksChip, TimesChip } from './condition-chips';
import { GoodsChip } from '../../shared/goods-chip';
import { OfferCodes } from './offer-codes';
import { OfferEffects } from './offer-effects';
import { OfferPast } from './offer-past';
import { tellRefused } from '../../data/tell-refused';

const statuses: Record<OfferRow['status'], { look: 'petrol' | 'sky' | 'outline'; words: string }> = {
  running: { look: 'petrol', words: 'running' },
  coming: { look: 'sky', words: 'coming' },
  paused: { look: 'sky', words: 'not at this hour' },
  over: { look: 'outline', words: 'over' },
  off: { look: 'outline', words: 'off' },
};

const keys = [
  'name',
  'isOn',
  'goods',
  'action',
  'from',
  'until',
  'weekdays',
  'hours',
  'subtotal',
  'pieces',
  'needsCode',
  'countries',
  'firstOrder',
  'priority',
  'stacks',
  'floor',
  'uses',
  'usesPerShopper',
] as const satisfies readonly (keyof Offer)[];

interface Props {
  row: OfferRow;
  currency: string;
  timeZone: string;
  shopFloor: number | null;
  why: (asked: { productId: string; variantId: string | null }) => void;
  copied: (id: string) => void;
  gone: () => void;
}

/** An offer as a sentence whose words can be changed, with what it does to each product below. */
export function OfferSheet({ row, currency, timeZone, shopFloor, why, copied, gone }: Props) {
  const { offer } = row;
  const { add, remove } = useOfferWrites();
  const [ask, dialog] = useConfirm();
  const shown = useCallback((key: string): unknown => offer[key as keyof Offer], [offer]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({
      saved: (await call(offerRoutes.changeOffer, { params: { id: offer.id }, body: { ...values, was } })).offer,
    }),
    keyOf: (path) => String(path[0]),
  });
  const name = useText(save, 'name');
  const on = useField<boolean>(save, 'isOn');
  // All fields as they are typed: one text, so that it is drawn again only when one of them changes.
  const typed = useProgress(save, (progress) =>
    JSON.stringify(Object.fromEntries(keys.map((key) => [key, valueAt(progress, key)]))),
  );
  const errors = useProgress(save, ({ drafts }) =>
    JSON.stringify(
      Object.fromEntries(
        Object.entries(drafts).flatMap(([key, draft]) => (draft?.message ? [[key, draft.message]] : [])),
      ),
    ),
  );
  const draft = { ...offer, ...(JSON.parse(typed) as Partial<Offer>) };
  const messages = JSON.parse(errors) as Partial<Record<string, string>>;
  const errorOf = (...of: (keyof Offer)[]) => of.map((key) => messages[key]).find(Boolean);
  const set = (fields: Partial<Offer>) => save.change(fields);
  const { id: _id, ...fields } = useDeferredValue(draft);
  const { data: preview } = useOfferPreview(offer.id, fields);
  const chips = { offer: draft, set, errorOf, timeZone, currency, shopFloor };
  const { look, words } = statuses[row.status];
  return (
    <div className="flex min-w-0 flex-col gap-4">
      <section aria-label={draft.name} className="sheet p-4">
        <div className="flex flex-wrap items-center gap-2">
          <input
            aria-label="Name of the offer, as shoppers read it"
            value={name.value}
            onChange={name.onChange}
            aria-invalid={name.error ? true : undefined}
            className="min-w-0 flex-1 rounded-md border border-transparent bg-transparent px-1 font-display text-lg font-bold hover:border-line aria-[invalid=true]:border-rose"
          />
          <SwingTag look={look}>{words}</SwingTag>
          {!row.isLive && <SwingTag look="marigold">not live yet</SwingTag>}
          <SaveStateWords save={save} />
        </div>
        <Clashes save={save} />
        {name.error && (
          <p role="alert" className="text-rose-ink">
            {name.error}
          </p>
        )}
        <div className="mt-3 flex flex-wrap items-center gap-x-1.5 gap-y-2 leading-8 text-ink-2">
          gives
          <Chip label="What it gives" words={offerDoes(draft, { currency, locale: 'en' })} error={errorOf('action')}>
            <ActionFields action={draft.action} change={(action) => set({ action })} />
          </Chip>
          for
          <GoodsChip goods={draft.goods} change={(goods) => set({ goods })} error={errorOf('goods')} />
          <TimesChip {...chips} />
          <ConditionsChip {...chips} />
          <FloorChip {...chips} /> and <StacksChip {...chips} />
        </div>
        <div className="mt-3 flex flex-wrap items-center gap-2">
          <Button look={on.value ? 'plain' : 'main'} onClick={() => on.change(!on.value)}>
            {on.value ? 'Switch it off' : 'Switch it on'}
          </Button>
          <span className="text-xs text-ink-2">
            {on.value
              ? 'It holds as soon as it is live, on the days above.'
              : 'It does nothing until you switch it on and put it live.'}
          </span>
          <span className="ml-auto flex">
            <Button
              look="bare"
              disabled={add.isPending}
              onClick={() =>
                add.mutate(
                  { name: `${draft.name}, copy`, like: offer.id },
                  { onSuccess: ({ id }) => copied(id), onError: tellRefused },
                )
              }
            >
              Copy
            </Button>
            <Button
              look="bare"
              onClick={() =>
                ask({
                  title: `Delete “${draft.name}”?`,
                  detail: `${row.codes > 0 ? `Its ${row.codes} codes go too. ` : ''}You can undo this.`,
                  doIt: 'Delete the offer',
                  run: () => remove.mutate(offer.id, { onSuccess: gone, onError: tellRefused }),
                })
              }
            >
              Delete
            </Button>
          </span>
        </div>
        <div className="mt-4">
          {preview && <OfferEffects preview={preview} why={({ productId }) => why({ productId, variantId: null })} />}
          {preview?.past && <OfferPast past={preview.past} currency={currency} />}
        </div>
      </section>
      {preview && preview.meets.length > 0 && (
        <section aria-labelledby="meets" className="sheet p-4">
          <h3 id="meets" className="font-display text-[15px] font-bold">
            Meets other offers
          </h3>
          <ul className="mt-1 divide-y divide-hair">
            {preview.meets.map((met) => (
              <li key={met.id} className="py-1.5">
                <strong>{met.name}</strong> on {met.goods} goods, {met.when}: {met.wins}
              </li>
            ))}
          </ul>
        </section>
      )}
      {draft.needsCode && <OfferCodes id={offer.id} name={draft.name} />}
      {dialog}
    </div>
  );
}
