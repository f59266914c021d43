/** A spreadsheet would take such text for a formula, and run it. What looks neutralised already gets another mark. */
export const neutralText = (text: string): string => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text);
