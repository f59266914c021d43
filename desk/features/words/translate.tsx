import { ArrowLeft } from 'lucide-react';
import { useCallback } from 'react';
import { Link, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { wordedKinds, type WordedKind } from '../../../core/model/wording';
import { nextText, useLanguages, useTexts, type TextPlace, type TextState } from '../../data/languages';
import { useSettings } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { Clashes } from '../../shared/ui/clashes';
import { count } from '../../shared/ui/count';
import { useTitle } from '../../shared/ui/use-title';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { everythingSaved } from '../../shared/autosave/unsaved';
import { useShopWindow } from '../../shared/window-state';
import { kindNames } from './kind-names';
import { openStates, openWords, shareDone, sumOf } from './states';
import { TextRow } from './text-row';
import { Things } from './things';
import { useTranslationSave } from './translation-save';
import { tellRefused } from '../../data/tell-refused';

const asKind = (typed: string | null): WordedKind | undefined => wordedKinds.find((kind) => kind === typed);

/** The texts of one thing, two columns wide. */
function Texts({
  locale,
  kind,
  id,
  path,
  go,
}: {
  locale: string;
  kind: WordedKind;
  id: string;
  path: string;
  go: (to: Partial<TextPlace>) => void;
}) {
  const { data, error } = useTexts(locale, kind, id);
  const settings = useSettings().data;
  const [params] = useSearchParams();
  const save = useTranslationSave(locale, { kind, id }, data?.units);
  useShopWindow(data?.address ? `/${locale}${data.address === '/' ? '' : data.address}` : undefined);
  const goOn = useCallback(
    (from: string) => {
      void everythingSaved()
        .then(async (isSaved) => {
          // What was refused stays in front of whoever typed it.
          if (!isSaved) return;
          const states = statesIn(params);
          const wanted = states.length > 0 ? states : openStates;
          const next = await nextText(locale, { kind, id, path: from }, wanted, asKind(params.get('kind')));
          if (next) go(next);
          else toast('Nothing is left to do here.');
        })
        .catch(tellRefused);
    },
    [locale, kind, id, params, go],
  );
  if (error) return <Failed error={error} />;
  if (!data || !settings) return <Loading rows={6} />;
  if (data.units.length === 0)
    return <Empty title="There are no words in this">Nothing of it has to be translated.</Empty>;
  const current = data.units.some((unit) => unit.path === path)
    ? path
    : (data.units.find(({ state }) => state !== 'done' && state !== 'same') ?? data.units[0]!).path;
  return (
    <>
      <h2 className="border-b border-line px-4 py-2 font-display text-lg font-bold">
        <span className="break-words">{data.name}</span>
      </h2>
      <Clashes save={save} />
      <ul aria-label={`Texts of ${data.name}`}>
        {data.units.map((unit) => (
          <TextRow
            key={`${kind}/${id}/${unit.path}`}
            locale={locale}
            save={save}
            unit={unit}
            languages={settings.languages}
            isCurrent={unit.path === current}
            choose={() => unit.path !== path && go({ kind, id, path: unit.path })}
            goOn={() => goOn(unit.path)}
          />
        ))}
      </ul>
    </>
  );
}

function statesIn(params: URLSearchParams): TextState[] {
  const typed = (params.get('states') ?? '').split(',');
  return (['missing', 'changed', 'draft', 'same', 'done'] as const).filter((state) => typed.includes(state));
}

/** One language: what there is to translate, and the texts of what is chosen. */
export function Translate({ locale }: { locale: string }) {
  const [params, setParams] = useSearchParams();
  const { data: overview, error } = useLanguages();
  const at = params.get('at')?.split('/') ?? [];
  const [kind, id, path] = [asKind(at[0] ?? null), at[1], at.slice(2).join('/')];
  const go = useCallback(
    (to: Partial<TextPlace>) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          next.set('at', [to.kind, to.id, to.path ?? ''].join('/'));
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
  const language = overview?.languages.find((each) => each.locale === locale);
  useTitle(language ? `${language.name} · Words` : 'Words');
  if (error) return <Failed error={error} />;
  if (!overview) return <Loading rows={8} />;
  if (!language)
    return <Empty title="The shop does not speak this" action={<Link to="/words">To the languages</Link>} />;
  const of = asKind(params.get('kind'));
  const sum = of ? language.counts[of] : sumOf(Object.values(language.counts));
  const start = () =>
    void nextText(locale, {}, openStates, of)
      .then((next) => next && go(next))
      .catch(tellRefused);
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-4 py-2">
        <Link to="/words" aria-label="All languages" className="rounded-md p-1 text-ink-2 hover:text-ink">
          <ArrowLeft size={16} aria-hidden="true" />
        </Link>
        <h1 className="font-display text-xl font-bold">
          {language.name}
          {of && <span className="font-normal text-ink-2">, {kindNames[of].toLowerCase()}</span>}
        </h1>
        <p className="text-ink-2">
          {shareDone(sum)} % done{openWords(sum) && `: ${openWords(sum)}`}
        </p>
        <p className="ml-auto text-xs text-ink-2 max-lg:hidden">Ctrl/Cmd + Enter keeps a text and goes to the next</p>
      </header>
      <div className="flex min-h-0 flex-1 max-md:flex-col">
        <Things locale={locale} chosen={kind && id ? { kind, id } : null} states={statesIn(params)} go={go} />
        <main className="min-h-0 min-w-0 flex-1 overflow-y-auto">
          {kind && id ? (
            <Texts key={`${kind}/${id}`} locale={locale} kind={kind} id={id} path={path} go={go} />
          ) : (
            <Empty
              title={`${count(sum.missing + sum.changed + sum.draft)} texts to look at`}
              action={
                <Button look="main" onClick={start}>
                  Begin with the first
                </Button>
              }
            >
              Choose something on the left, or begin and let the keys lead you from one text to the next.
            </Empty>
          )}
        </main>
      </div>
    </div>
  );
}
