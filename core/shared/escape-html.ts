const escapes: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** Plain text as it stands in HTML, inside an element or a quoted attribute. */
export const escapeHtml = (text: string): string => text.replace(/[&<>"]/g, (letter) => escapes[letter]!);
