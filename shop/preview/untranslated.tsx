import { useEffect } from 'react';

const MARK = 'untranslated';

/** Pieces of text on the page that are one of some. */
function rangesOf(texts: ReadonlySet<string>): Range[] {
  const ranges: Range[] = [];
  const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walk.nextNode(); node; node = walk.nextNode())
    if (texts.has((node.nodeValue ?? '').replace(/\s+/g, ' ').trim())) {
      const range = document.createRange();
      range.selectNodeContents(node);
      ranges.push(range);
    }
  return ranges;
}

/** Marks what is told in the main language for want of a translation, without touching what is drawn. */
export default function Untranslated({ texts }: { texts: readonly string[] }) {
  useEffect(() => {
    if (!('highlights' in CSS)) return;
    const wanted = new Set(texts);
    const draw = () => CSS.highlights.set(MARK, new Highlight(...rangesOf(wanted)));
    draw();
    // What comes later, such as the drawer of the basket, is marked too.
    const watch = new MutationObserver(draw);
    watch.observe(document.body, { childList: true, characterData: true, subtree: true });
    return () => {
      watch.disconnect();
      CSS.highlights.delete(MARK);
    };
  }, [texts]);
  return (
    <p
      role="note"
      className="fixed bottom-3 left-3 z-40 rounded-full bg-ink px-3 py-1.5 text-xs font-medium text-white shadow-lg"
    >
      {texts.length === 1 ? '1 text here is not translated' : `${texts.length} texts here are not translated`}
    </p>
  );
}
