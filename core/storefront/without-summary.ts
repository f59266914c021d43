import { plainText } from '../shared/plain-text';

/** The description of a product without a first paragraph that only says what the summary said already. `description`: sanitised HTML. */
export function withoutSummary({ summary, description }: { summary: string; description: string }): string {
  const [first, text] = /^\s*<p[^>]*>(.*?)<\/p>/s.exec(description) ?? [];
  // Tags leave blanks where they stood, so blanks are not compared.
  const letters = (words: string) => words.replace(/\s+/g, '');
  return first !== undefined && summary !== '' && letters(plainText(text!)) === letters(summary)
    ? description.slice(first.length)
    : description;
}
