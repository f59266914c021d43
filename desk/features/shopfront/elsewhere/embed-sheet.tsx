import { useCallback, useDeferredValue, useEffect, useState } from 'react';
import { elsewhereRoutes } from '../../../../contract/elsewhere';
import { someEmbedSchema, type Embed } from '../../../../core/model/embed';
import { call } from '../../../data/api';
import { useDrawnEmbed, useEmbedWrites, type EmbedRow } from '../../../data/elsewhere';
import { useUnsaved } from '../../../shared/autosave/unsaved';
import { useAutosave, useField, useText } from '../../../shared/autosave/use-autosave';
import { LanguageChoice } from '../../../shared/pickers/language-choice';
import { Button } from '../../../shared/ui/button';
import { Clashes } from '../../../shared/ui/clashes';
import { useConfirm } from '../../../shared/ui/confirm';
import { CopiedText } from '../../../shared/ui/copied-text';
import { TextField } from '../../../shared/ui/field';
import { SaveStateWords } from '../../../shared/ui/save-state';
import { SwingTag } from '../../../shared/ui/swing-tag';
import { Tick } from '../../../shared/ui/tick';
import { StripFields } from '../sections/strip-fields';
import { EmbedFrame } from './embed-frame';
import { LookFields } from './look-fields';
import { tellRefused } from '../../../data/tell-refused';

type Part = 'strip' | 'look';

/** Why a part cannot be saved as it is, by its fields. */
function problemsOf(part: Part, value: unknown): Record<string, string> {
  const { issues = [] } = someEmbedSchema.safeParse({ [part]: value }).error ?? {};
  return Object.fromEntries(issues.map(({ path, message }) => [String(path[1] ?? ''), message]));
}

/** The lines that bring these goods to any page. */
const snippetOf = ({ id, name }: Embed, origin: string): string =>
  [
    `<dispona-goods of="${id}"></dispona-goods>`,
    `<script type="module" src="${origin}/embed/${id}.js"></script>`,
    `<noscript><a href="${origin}/">${name.replace(/[&<>"]/g, '')}</a></noscript>`,
  ].join('\n');

interface Props {
  row: EmbedRow;
  origin: string;
  copied: (id: string) => void;
  gone: () => void;
}

/** Goods for another site: which, how they stand and look, seen on a made-up page, with the lines that bring them there. */
export function EmbedSheet({ row: { embed, isLive }, origin, copied, gone }: Props) {
  const { add, remove } = useEmbedWrites();
  const [ask, dialog] = useConfirm();
  const shown = useCallback((key: string): unknown => embed[key as keyof Embed], [embed]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({
      saved: (await call(elsewhereRoutes.changeEmbed, { params: { id: embed.id }, body: { ...values, was } })).embed,
    }),
    keyOf: (path) => String(path[0]),
  });
  const name = useText(save, 'name');
  const strip = useField<Embed['strip']>(save, 'strip');
  const look = useField<Embed['look']>(save, 'look');
  const basket = useField<boolean>(save, 'basket');
  const locale = useField<string | undefined>(save, 'locale');
  // What cannot be saved yet stays on screen as it was typed; all else is saved.
  const [unfinished, setUnfinished] = useState<Partial<Pick<Embed, Part>>>({});
  const tellUnsaved = useUnsaved();
  useEffect(() => {
    const problems = (Object.keys(unfinished) as Part[]).flatMap((part) =>
      Object.values(problemsOf(part, unfinished[part])),
    );
    tellUnsaved(problems.length > 0 ? { problems, isOnItsWay: false } : null);
  }, [unfinished, tellUnsaved]);
  const set = (part: Part, value: unknown) => {
    const isWrong = Object.keys(problemsOf(part, value)).length > 0;
    setUnfinished(({ [part]: _before, ...rest }) => (isWrong ? { ...rest, [part]: value } : rest));
    if (!isWrong) save.change({ [part]: value });
  };
  const errorsOf = (part: Part): Record<string, string> =>
    part in unfinished ? problemsOf(part, unfinished[part]) : {};
  const draft = useDeferredValue({ strip: strip.value, look: look.value, basket: basket.value, locale: locale.value });
  const { data: drawn } = useDrawnEmbed(embed.id, draft);
  return (
    <div className="flex min-h-0 flex-1 gap-4 max-lg:flex-col">
      <section
        aria-label={embed.name}
        className="flex w-80 shrink-0 flex-col gap-2.5 overflow-y-auto pr-1 max-lg:w-full"
      >
        <TextField label="Name, for you" value={name.value} error={name.error} onChange={name.onChange} />
        <p className="flex flex-wrap items-center gap-2">
          {isLive ? <SwingTag look="petrol">live</SwingTag> : <SwingTag look="marigold">not live yet</SwingTag>}
          <SaveStateWords save={save} />
        </p>
        <Clashes save={save} />
        <details open>
          <summary className="py-1 font-semibold">Goods</summary>
          <div className="mt-1 flex flex-col gap-2.5">
            <StripFields
              section={unfinished.strip ?? strip.value}
              note={drawn?.note}
              errors={{ ...errorsOf('strip'), ...(strip.error && { source: strip.error }) }}
              change={(next) => set('strip', { ...next, id: embed.strip.id })}
            />
          </div>
        </details>
        <details open>
          <summary className="py-1 font-semibold">Look</summary>
          <div className="mt-1 flex flex-col gap-2.5">
            <LookFields
              look={unfinished.look ?? look.value}
              errors={errorsOf('look')}
              change={(next) => set('look', next)}
            />
            <Tick label="Shoppers fill a basket there" checked={basket.value} change={basket.change} />
            <LanguageChoice value={locale.value ?? ''} change={locale.change} />
          </div>
        </details>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button
            disabled={add.isPending}
            onClick={() =>
              add.mutate(
                { name: `${embed.name}, copy`, like: embed.id },
                { onSuccess: ({ id }) => copied(id), onError: tellRefused },
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
                title: `Take “${embed.name}” off other sites?`,
                detail:
                  'With the next edition, pages that have its lines show nothing in their place. It can be undone.',
                doIt: 'Take it off',
                run: () => remove.mutate(embed.id, { onSuccess: gone, onError: tellRefused }),
              })
            }
          >
            Delete
          </Button>
        </div>
        {dialog}
      </section>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col gap-3 overflow-y-auto">
        <EmbedFrame view={drawn?.view} />
        <section aria-label="The lines for the other site" className="sheet p-4">
          <h2 className="mb-1 font-display text-base font-bold">Paste these lines into any page</h2>
          <CopiedText label="Lines for the other site" text={snippetOf(embed, origin)} isLong />
          <p className="mt-2 text-xs text-ink-2">
            What you change shows there at its next load, once it is live here. The page sends no cookies to the shop.
            Where it has a content policy, it has to allow {origin} for scripts and pictures.
          </p>
        </section>
      </div>
    </div>
  );
}
