import { markedParts } from '../../../core/finder/marked';

/** A text in which the words that were searched for are marked. */
export function Marked({ text, words }: { text: string; words: string }) {
  if (words.trim() === '') return <>{text}</>;
  return (
    <>
      {markedParts(text, words).map(({ part, isMet }, i) =>
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
