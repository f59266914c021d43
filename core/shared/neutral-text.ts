/** A spreadsheet would take such text for a formula, and run it. What looks neutralised already gets another mark. */
export const neutralText = (text: string): string => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/** A cell without the mark of `neutralText`: it is no part of what the cell says. */
export const unmarkedText = (cell: string): string => (/^'+[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell);
