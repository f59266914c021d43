import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { wordedKinds, type WordedKind } from '../../../core/model/wording';
import { useLanguages, useLanguageWrites, type LanguageRow, type StateCounts } from '../../data/languages';
import { Button } from '../../shared/ui/button';
import { useConfirm } from '../../shared/ui/confirm';
import { count } from '../../shared/ui/count';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { Tick } from '../../shared/ui/tick';
import { Files } from './files';
import { kindNames } from './kind-names';
import { allOf, openOf, openStates, openWords, shareDone, stateLooks, sumOf } from './states';
import { refusalOf, tellRefused } from '../../data/tell-refused';
import { emptied } from '../../shared/ui/emptied';

/** Languages that many shops speak; any other can be typed. */
const common = ['de', 'fr', 'nl', 'es', 'it', 'da', 'sv', 'pl', 'pt', 'cs', 'en'];
const nameOf = (locale: string) => new Intl.DisplayNames(['en'], { type: 'language' }).of(locale) ?? locale;

const editorAt = (locale: string, kind: WordedKind | null, states: readonly string[]) =>
  `/words/${locale}?${kind ? `kind=${kind}&` : ''}states=${states.join()}`;

/** How much of something is done, as a bar with its numbers. */
function Share({ counts }: { counts: StateCounts }) {
  const all = allOf(counts);
  const share = (state: keyof StateCounts) => `${(counts[state] * 100) / Math.max(1, all)}%`;
  return (
    <span aria-hidden="true" className="flex h-1.5 w-full overflow-hidden rounded-full bg-sunk">
      {(['done', 'changed', 'draft'] as const).map((state) => (
        <span key={state} className={stateLooks[state].bar} style={{ width: share(state) }} />
      ))}
    </span>
  );
}

function Cell({ locale, kind, counts }: { locale: string; kind: WordedKind; counts: StateCounts }) {
  if (allOf(counts) === 0) return <td className="px-3 py-2 text-ink-3">–</td>;
  const open = openOf(counts);
  return (
    <td className="min-w-40 px-3 py-2 align-top">
      <Link
        to={editorAt(locale, kind, open > 0 ? openStates : [])}
        className="block rounded-md hover:underline"
        title={`Open ${kindNames[kind].toLowerCase()} in ${nameOf(locale)}`}
      >
        <span className="mb-1 flex justify-between gap-2 text-xs">
          <span className={open > 0 ? 'text-ink' : 'text-petrol-ink'}>{open > 0 ? openWords(counts) : 'all done'}</span>
          <span className="tabular-nums text-ink-2">{shareDone(counts)} %</span>
        </span>
        <Share counts={counts} />
      </Link>
    </td>
  );
}

function Head({ language }: { language: LanguageRow }) {
  const { change, remove, draft, dropDrafts } = useLanguageWrites();
  const [ask, dialog] = useConfirm();
  // What was just ticked is seen before the server has answered.
  const { locale, name, isOn, untranslated } = { ...language, ...(change.isPending && change.variables) };
  const sum = sumOf(Object.values(language.counts));
  return (
    <th scope="col" className="min-w-56 px-3 py-2 text-left align-top font-normal">
      {dialog}
      <Link to={editorAt(locale, null, openStates)} className="font-display text-lg font-bold hover:underline">
        {name}
      </Link>
      <p className="text-xs text-ink-2">
        {shareDone(sum)} % of {count(allOf(sum))} texts{language.isShipped && ', fixed words included'}
      </p>
      <Tick
        label="On the shop"
        checked={isOn}
        change={(on) =>
          change.mutate(
            { locale, isOn: on },
            {
              onSuccess: () =>
                void toast(on ? `${name} is on the shop with the next edition` : `${name} goes with the next edition`),
              onError: tellRefused,
            },
          )
        }
      />
      <Tick
        label="Hide what is not translated"
        checked={untranslated === 'hide'}
        change={(hide) => change.mutate({ locale, untranslated: hide ? 'hide' : 'show' }, { onError: tellRefused })}
      />
      <span className="mt-1 flex flex-wrap gap-1">
        <Button
          look="bare"
          disabled={draft.isPending || sum.missing + sum.changed === 0}
          title="A simulated helper drafts what is missing from your glossary, earlier translations and a small dictionary. No shopper sees a draft."
          onClick={() =>
            draft.mutate(
              { locale },
              {
                onSuccess: ({ drafted }) =>
                  void toast(`Drafted ${count(drafted)} texts (simulated). Look at each before it is done.`),
                onError: tellRefused,
              },
            )
          }
        >
          Draft for me (simulated)
        </Button>
        {sum.draft > 0 && (
          <Button look="bare" onClick={() => dropDrafts.mutate(locale, { onError: tellRefused })}>
            Drop {count(sum.draft)} drafts
          </Button>
        )}
        <Files locale={locale} name={name} />
        <Button
          look="bare"
          onClick={() =>
            ask({
              title: `Take ${name} away?`,
              detail: `${count(sum.done + sum.changed + sum.draft)} translated texts go with it. Undo brings all of it back.`,
              doIt: `Take ${name} away`,
              run: () => remove.mutate(locale, { onError: tellRefused }),
            })
          }
        >
          Take away
        </Button>
      </span>
    </th>
  );
}

function AddLanguage({ has }: { has: readonly string[] }) {
  const [typed, setTyped] = useState('');
  const [error, setError] = useState('');
  const { add } = useLanguageWrites();
  const put = (locale: string, sent = '') =>
    add.mutate(locale, {
      onSuccess: () => {
        setTyped(emptied(sent));
        setError('');
      },
      onError: (problem) => setError(refusalOf(problem)),
    });
  return (
    <section aria-label="Add a language" className="sheet mt-4 max-w-3xl p-4">
      <h2 className="mb-2 font-display font-bold">Add a language</h2>
      <div className="flex flex-wrap items-center gap-1.5">
        {common
          .filter((locale) => !has.includes(locale))
          .map((locale) => (
            <Button key={locale} disabled={add.isPending} onClick={() => put(locale)}>
              <Plus size={13} aria-hidden="true" /> {nameOf(locale)}
            </Button>
          ))}
        <form
          className="flex items-center gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            if (typed.trim()) put(typed.trim(), typed);
          }}
        >
          <input
            aria-label="Another language, by its tag"
            placeholder="or a tag, such as pt-br"
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value);
              setError('');
            }}
            aria-invalid={error !== ''}
            className="field w-44"
          />
          <Button type="submit" disabled={typed.trim() === '' || add.isPending}>
            Add
          </Button>
        </form>
      </div>
      {error && (
        <p role="alert" className="mt-1.5 text-rose-ink">
          {error}
        </p>
      )}
    </section>
  );
}

/** What is translated, by sort of thing and language. */
export function Languages() {
  const { data, error } = useLanguages();
  if (error) return <Failed error={error} />;
  if (!data) return <Loading rows={8} />;
  const { languages, main } = data;
  if (languages.length === 0)
    return (
      <>
        <div className="sheet max-w-3xl">
          <Empty title={`Your shop speaks ${main.name}`}>
            Add a language, and everything a shopper reads can be translated: goods, options, groups, pages, menus,
            letters and the words of the shop itself. English and German ones are there already.
          </Empty>
        </div>
        <AddLanguage has={[main.locale]} />
      </>
    );
  return (
    <>
      <div className="sheet overflow-x-auto">
        <table className="w-full border-collapse">
          <thead>
            <tr className="border-b border-line">
              <th scope="col" className="px-4 py-2 text-left align-top font-normal text-ink-2">
                Written in {main.name}
              </th>
              {languages.map((language) => (
                <Head key={language.locale} language={language} />
              ))}
            </tr>
          </thead>
          <tbody>
            {wordedKinds.map((kind) =>
              languages.every(({ counts }) => allOf(counts[kind]) === 0) ? null : (
                <tr key={kind} className="border-b border-hair last:border-0">
                  <th scope="row" className="px-4 py-2 text-left align-top font-medium">
                    {kindNames[kind]}
                    <span className="ml-2 text-xs font-normal tabular-nums text-ink-2">
                      {count(allOf(languages[0]!.counts[kind]))}
                    </span>
                  </th>
                  {languages.map(({ locale, counts }) => (
                    <Cell key={locale} locale={locale} kind={kind} counts={counts[kind]} />
                  ))}
                </tr>
              ),
            )}
          </tbody>
        </table>
      </div>
      <AddLanguage has={[main.locale, ...languages.map(({ locale }) => locale)]} />
    </>
  );
}
