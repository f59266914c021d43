const textTypes = /^(text|search|url|email|tel|password|number|date|datetime-local|time)$/;

/** True for what takes letters: not for ticks, buttons and lists. */
export const takesText = (target: unknown): target is HTMLElement =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLInputElement && textTypes.test(target.type)));

/** What the cursor is in, when it is in something that takes letters. */
export function textUnderCursor(): HTMLElement | null {
  const active = document.activeElement;
  return takesText(active) ? active : null;
}
