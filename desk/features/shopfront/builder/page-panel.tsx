import { Copy, Trash2 } from 'lucide-react';
import { isPageOpen, type Page } from '../../../../core/model/page';
import { useSettings, useShopfrontWrites } from '../../../data/shopfront';
import type { Autosave } from '../../../shared/autosave/autosave';
import { useField, useText } from '../../../shared/autosave/use-autosave';
import { Button } from '../../../shared/ui/button';
import { useConfirm } from '../../../shared/ui/confirm';
import { TextArea, TextField } from '../../../shared/ui/field';
import { MomentField } from '../../../shared/ui/moment-field';
import { Tick } from '../../../shared/ui/tick';
import { WhatBreaks } from '../../../shared/what-breaks';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { TargetName } from '../../../shared/pickers/target-words';
import { tellRefused } from '../../../data/tell-refused';

interface Props {
  page: Page;
  ways: readonly string[];
  save: Autosave;
  open: (id: string | null) => void;
}

const groupKinds = ['category', 'collection', 'brand', 'tag'] as const;

/** What a page says of itself beside its sections, and how shoppers reach it. */
export function PagePanel({ page, ways, save, open }: Props) {
  const { copyPage, deletePage } = useShopfrontWrites();
  const [ask, dialog] = useConfirm();
  const timeZone = useSettings().data?.timeZone ?? 'UTC';
  const title = useText(save, 'title');
  const slug = useText(save, 'slug');
  const metaTitle = useText(save, 'metaTitle');
  const metaDescription = useText(save, 'metaDescription');
  const showsTitle = useField<boolean>(save, 'showsTitle');
  const noindex = useField<boolean>(save, 'noindex');
  const from = useField<string | null>(save, 'from');
  const until = useField<string | null>(save, 'until');
  const standsOn = useField<Page['standsOn']>(save, 'standsOn');
  const isOnGroups = standsOn.value.length > 0;
  return (
    <section aria-label="The page" className="flex flex-col gap-3">
      <h2 className="font-display text-[15px] font-bold">The page</h2>
      <p className={ways.length > 0 || isOnGroups || page.home ? 'text-ink-2' : 'text-rose-ink'}>
        {page.home
          ? 'Shoppers come here first.'
          : isOnGroups
            ? 'It stands on the pages of these groups, around their goods.'
            : ways.length > 0
              ? `Found from: ${ways.join(', ')}.`
              : 'No menu and no page leads here, so shoppers do not find it.'}
      </p>
      {!isPageOpen(page, Date.now()) && (
        <p role="status" className="rounded-lg bg-marigold-soft px-2.5 py-1.5 text-marigold-ink">
          Shoppers do not see this page now: it is not on its days.
        </p>
      )}
      <TextField label="Title" {...title} />
      {!page.home && !isOnGroups && (
        <TextField label="Address" hint={`…/page/${slug.value}; the old one forwards`} {...slug} />
      )}
      <Tick label="Show the title on the page" checked={showsTitle.value} change={showsTitle.change} />
      {!page.home && (
        <>
          <MomentField label="Seen from" timeZone={timeZone} {...from} />
          <MomentField label="Seen until" timeZone={timeZone} {...until} />
          <div className="flex flex-col gap-1.5">
            <span className="font-semibold">Stands on the page of</span>
            {standsOn.value.map((to) => (
              <TargetName
                key={`${to.kind}:${to.id}`}
                to={to}
                remove={() => standsOn.change(standsOn.value.filter((each) => each !== to))}
              />
            ))}
            <ChooseTarget
              label="a category, collection, brand or tag"
              kinds={groupKinds}
              choose={({ kind, id }) => {
                const wanted = groupKinds.find((each) => each === kind);
                if (wanted && !standsOn.value.some((to) => to.id === id))
                  standsOn.change([...standsOn.value, { kind: wanted, id }]);
              }}
            />
            {standsOn.error && (
              <p role="alert" className="text-rose-ink">
                {standsOn.error}
              </p>
            )}
            <p className="text-xs text-ink-2">
              Its sections come above the goods of that group; those after a listing section come below them.
            </p>
          </div>
        </>
      )}
      <details>
        <summary className="py-1 font-semibold">In search engines</summary>
        <div className="mt-1 flex flex-col gap-2.5">
          <TextField label="Meta title" hint="Empty: its title and the shop’s name" {...metaTitle} />
          <TextArea label="Meta description" rows={2} hint="Empty: the sentence about the shop" {...metaDescription} />
          <Tick label="Search engines may list it" checked={!noindex.value} change={(may) => noindex.change(!may)} />
        </div>
      </details>
      <div className="flex flex-wrap gap-1">
        <Button
          look="bare"
          disabled={copyPage.isPending}
          onClick={() => copyPage.mutate(page.id, { onSuccess: (copy) => open(copy.id), onError: tellRefused })}
        >
          <Copy size={13} aria-hidden="true" /> Copy the page
        </Button>
        {!page.home && (
          <Button
            look="bare"
            className="!text-rose"
            onClick={() =>
              ask({
                title: `Delete the page “${page.title}”?`,
                detail: (
                  <>
                    Its sections go with it; undo brings it back.
                    <WhatBreaks kind="page" id={page.id} />
                  </>
                ),
                doIt: 'Delete the page',
                run: () => deletePage.mutate(page.id, { onSuccess: () => open(null), onError: tellRefused }),
              })
            }
          >
            <Trash2 size={13} aria-hidden="true" /> Delete page
          </Button>
        )}
      </div>
      {dialog}
    </section>
  );
}
