/** Entities that rich text holds once it was sanitised; others are numbers. */
const named: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'", nbsp: ' ' };

function decoded(entity: string, name: string): string {
  if (!name.startsWith('#')) return named[name.toLowerCase()] ?? entity;
  const code = /^#x/i.test(name) ? parseInt(name.slice(2), 16) : Number(name.slice(1));
  return code > 0 && code <= 0x10ffff ? String.fromCodePoint(code) : entity;
}

/** The words of sanitised HTML, with single blanks: tags are left out, entities are the letters that they stand for. */
export function plainText(html: string): string {
  if (html === '') return '';
  return html
    .replace(/<[^>]*>/g, ' ')
    .replace(/&(#x?[0-9a-f]{1,6}|[a-z]{2,8});/gi, decoded)
    .replace(/\s+/g, ' ')
    .trim();
}
