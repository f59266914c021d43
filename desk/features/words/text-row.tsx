import { lazy, Suspense, useEffect, useId, useRef, useState } from 'react';
import { translationProblems } from '../../../core/languages/checks';
import { wordDifference, type Stretch } from '../../../core/languages/word-difference';
import type { Languages } from '../../../core/model/languages';
import { plainText } from '../../../core/shared/plain-text';
import { useMatches, type TranslatedUnit } from '../../data/languages';
import { Button } from '../../shared/ui/button';
import { stateLooks } from './states';
import type { Autosave } from '../../shared/autosave/autosave';
import { useField } from '../../shared/autosave/use-autosave';

const RichField = lazy(() => import('../../shared/rich/rich-field'));

interface Props {
  locale: string;
  save: Autosave;
  unit: TranslatedUnit;
  languages: Languages;
  isCurrent: boolean;
  choose: () => void;
  /** waits until all is saved, then goes to the next text that is to be done */
  goOn: () => void;
}

/** Words with what was put in and taken out marked. */
const Marked = ({ stretches }: { stretches: readonly Stretch[] }) => (
  <>
    {stretches.map(({ words, in: where }, i) =>
      where === 'both' ? (
        <span key={i}>{words}</span>
      ) : where === 'before' ? (
        <del key={i} className="bg-rose-soft text-rose-ink">
          {words}
        </del>
      ) : (
        <ins key={i} className="bg-marigold-soft no-underline">
          {words}
        </ins>
      ),
    )}
  </>
);

const wordsOfSource = (unit: TranslatedUnit, text: string) => (unit.form === 'html' ? plainText(text) : text);

/** Earlier translations that are like this text, each taken with one click. */
function Memory({ locale, unit, take }: { locale: string; unit: TranslatedUnit; take: (text: string) => void }) {
  const { data } = useMatches(locale, unit.source, unit.form !== 'address');
  const matches = (data?.matches ?? []).filter(({ text }) => text !== unit.done);
  if (matches.length === 0) return null;
  return (
    <ul aria-label="Translated before" className="mt-2 space-y-1.5">
      {matches.map(({ text, source, likeness, difference }) => (
        <li key={source} className="flex items-start gap-2 rounded-lg bg-sunk px-2.5 py-1.5">
          <span className="w-10 shrink-0 tabular-nums text-ink-2">{Math.round(likeness * 100)} %</span>
          <span className="min-w-0 flex-1">
            {likeness < 1 && (
              <span className="block break-words text-xs text-ink-2">
                <Marked stretches={difference} />
              </span>
            )}
            <span className="block break-words">{wordsOfSource(unit, text)}</span>
          </span>
          <Button look="bare" onClick={() => take(text)}>
            Take
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** One text: as it is written, and as it is translated. */
export function TextRow({ locale, save, unit, languages, isCurrent, choose, goOn }: Props) {
  const id = useId();
  const { value, change, error, unsaved: isUnsaved } = useField<string>(save, unit.path);
  const field = useRef<HTMLTextAreaElement>(null);
  const row = useRef<HTMLLIElement>(null);
  const [wasHere, setWasHere] = useState(false);
  const shown = value === '' && unit.draft !== null && !isUnsaved ? unit.draft : value;
  const isDraft = shown !== '' && shown === unit.draft && !isUnsaved;
  useEffect(() => {
    if (!isCurrent) return;
    row.current?.scrollIntoView({ block: 'nearest' });
    if (field.current) field.current.focus();
    else row.current?.querySelector<HTMLElement>('[contenteditable=true]')?.focus();
  }, [isCurrent]);
  const problems =
    shown.trim() === '' || unit.form === 'address'
      ? []
      : translationProblems(
          { source: unit.source, text: shown, locale, ...(unit.most !== null && { most: unit.most }) },
          languages,
        );
  const look = stateLooks[isUnsaved ? 'draft' : unit.state];
  const label = `${unit.words}, translated`;
  return (
    // Keys of the fields in it come up to here.

    <li
      ref={row}
      aria-current={isCurrent || undefined}
      onFocus={() => {
        choose();
        setWasHere(true);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return;
        event.preventDefault();
        // A draft that somebody looked at and went on from is a translation.
        if (isDraft) change(shown);
        goOn();
      }}
      className="grid gap-x-5 gap-y-2 border-b border-hair px-4 py-3 last:border-0 aria-[current]:bg-sheet lg:grid-cols-2"
    >
      <div className="min-w-0">
        <p className="mb-1 flex items-baseline justify-between gap-2 text-xs text-ink-2">
          <span>{unit.words}</span>
        </p>
        <div id={`${id}-source`} className="whitespace-pre-line break-words">
          {unit.madeFrom === null ? (
            unit.form === 'html' ? (
              <div className="rich-source" dangerouslySetInnerHTML={{ __html: unit.source }} />
            ) : (
              unit.source
            )
          ) : (
            <Marked stretches={wordDifference(wordsOfSource(unit, unit.madeFrom), wordsOfSource(unit, unit.source))} />
          )}
        </div>
      </div>
      <div className="min-w-0">
        <p className="mb-1 flex items-baseline justify-between gap-2 text-xs">
          <span className={`rounded-md px-1.5 py-px ${isUnsaved ? 'bg-sunk text-ink-2' : look.tag}`}>
            {isUnsaved ? 'saving …' : look.words}
          </span>
          {unit.most !== null && shown.length > unit.most * 0.8 && (
            <span className="tabular-nums text-ink-2">
              {shown.length} of {unit.most}
            </span>
          )}
        </p>
        {unit.form === 'html' ? (
          <Suspense fallback={<div className="field min-h-24">…</div>}>
            <RichField label={label} html={shown} pictures={[]} isUnsaved={isUnsaved} change={change} />
          </Suspense>
        ) : (
          <textarea
            ref={field}
            aria-label={label}
            aria-describedby={`${id}-source`}
            aria-invalid={error !== undefined}
            lang={locale}
            rows={Math.min(8, Math.max(1, Math.ceil(Math.max(shown.length, unit.source.length) / 55)))}
            value={shown}
            placeholder={unit.optional ? unit.source : ''}
            onChange={(event) => change(event.target.value)}
            className={`field block w-full resize-y ${isDraft ? 'italic text-sky-ink' : ''}`}
          />
        )}
        {error && (
          <p role="alert" className="mt-1 text-rose-ink">
            {error}
          </p>
        )}
        {problems.map(({ words }) => (
          <p key={words} className="mt-1 text-xs text-marigold-ink">
            {words}
          </p>
        ))}
        <div className="mt-1 flex flex-wrap gap-1">
          {isDraft && (
            <Button look="bare" onClick={() => change(shown)}>
              The draft is right
            </Button>
          )}
          {unit.state === 'changed' && !isUnsaved && (
            <Button look="bare" onClick={() => change(`${shown} `)}>
              Still right
            </Button>
          )}
          {isCurrent && (unit.state === 'missing' || unit.state === 'draft') && (
            <Button look="bare" onClick={() => change(unit.source)}>
              Same as the original
            </Button>
          )}
        </div>
        {(isCurrent || wasHere) && <Memory locale={locale} unit={unit} take={change} />}
      </div>
    </li>
  );
}
