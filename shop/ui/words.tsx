import { createContext, useContext, useLayoutEffect, useRef, type ElementType } from 'react';

/** Whether words can be typed in place, and who is told: only in the desk's view of a page that is being built. */
export const EditingContext = createContext<{ type: (section: string, field: string, words: string) => void } | null>(
  null,
);

interface Props {
  as?: ElementType;
  section: string;
  /** where the words stand in the section, such as "slides.0.title" */
  field: string;
  text: string;
  /** shown in their place while there are none, to who builds the page */
  hint?: string;
  className?: string;
}

/** Words of a section. Shoppers read them; who builds the page types in them. Nothing at all where there are none. */
export function Words({ as: Tag = 'span', section, field, text, hint, className }: Props) {
  const editing = useContext(EditingContext);
  if (editing) return <TypedWords {...{ as: Tag, section, field, text, hint, className }} type={editing.type} />;
  return text ? <Tag className={className}>{text}</Tag> : null;
}

/** The browser owns what stands in it while somebody types there: drawing it again would throw the cursor out. */
function TypedWords({
  as: Tag = 'span',
  section,
  field,
  text,
  hint = 'Type here',
  className = '',
  type,
}: Props & { type: (section: string, field: string, words: string) => void }) {
  const own = useRef<HTMLElement>(null);
  /** what was typed last has not come back yet as what is drawn */
  const isWaiting = useRef(false);
  const draw = () => {
    if (own.current!.textContent !== text) own.current!.textContent = text;
  };
  useLayoutEffect(() => {
    isWaiting.current = false;
    if (document.activeElement !== own.current) draw();
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [text]);
  return (
    <Tag
      ref={own}
      role="textbox"
      aria-label={hint}
      contentEditable="plaintext-only"
      suppressContentEditableWarning
      spellCheck
      data-hint={hint}
      className={`typed ${className}`}
      onInput={(event: React.FormEvent<HTMLElement>) => {
        isWaiting.current = true;
        type(section, field, event.currentTarget.textContent ?? '');
      }}
      onBlur={() => {
        if (!isWaiting.current) draw();
      }}
      onKeyDown={(event: React.KeyboardEvent) => {
        if (event.key === 'Enter' || event.key === 'Escape') {
          event.preventDefault();
          own.current!.blur();
        }
      }}
    />
  );
}
