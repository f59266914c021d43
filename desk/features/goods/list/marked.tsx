import { useMemo } from 'react';
import { markedParts } from '../../../../core/search/marked';
import { Synonyms } from '../../../../core/search/synonyms';
import { useSettings } from '../../../data/shopfront';

/** A text in which the words that were searched for are marked. */
export function Marked({ text, words }: { text: string; words: string }) {
  return words.trim() === '' ? text : <Parts text={text} words={words} />;
}

function Parts({ text, words }: { text: string; words: string }) {
  const { data: settings } = useSettings();
  const groups = settings?.synonyms;
  const meaningTheSame = useMemo(
    () => new Synonyms(groups).partsOf(words).flatMap(({ others }) => others.flat()),
    [groups, words],
  );
  return (
    <>
      {markedParts(text, words, meaningTheSame).map(({ part, isMet }, i) =>
        isMet ? (
          <mark key={i} className="rounded-[3px] bg-marigold-soft text-inherit">
            {part}
          </mark>
        ) : (
          part
        ),
      )}
    </>
  );
}
