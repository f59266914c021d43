import sanitizeHtml from 'sanitize-html';

/** Pictures in texts are those of the shop, by their immutable addresses. */
const OWN_PICTURE = /^\/media\/[0-9a-f]{32,64}\/(160|480|960|1600)\.webp$/;

const textTags = ['p', 'h2', 'h3', 'strong', 'em', 's', 'u', 'ul', 'ol', 'li', 'blockquote', 'br', 'hr', 'a', 'code'];
const tableTags = ['table', 'tbody', 'tr', 'th', 'td'];
const spans = ['colspan', 'rowspan'];

/** A cell that spans more than anybody reads freezes whoever draws it. */
const MOST_SPANNED = 20;

function withinTable(tagName: string, attribs: Record<string, string>) {
  const kept = Object.entries(attribs).filter(([name, value]) => {
    if (!spans.includes(name)) return true;
    return /^\d+$/.test(value) && Number(value) >= 1 && Number(value) <= MOST_SPANNED;
  });
  return { tagName, attribs: Object.fromEntries(kept) };
}

/** Rich text as it may be stored and shown: a few tags, safe links, own pictures, nothing that runs or loads. */
export function cleanRichText(html: string): string {
  const clean = sanitizeHtml(html, {
    allowedTags: [...textTags, ...tableTags, 'img'],
    allowedAttributes: { a: ['href'], img: ['src', 'alt'], th: spans, td: spans },
    allowedSchemes: ['http', 'https', 'mailto', 'tel'],
    transformTags: { b: 'strong', i: 'em', h1: 'h2', h4: 'h3', th: withinTable, td: withinTable },
    exclusiveFilter: ({ tag, attribs }) => tag === 'img' && !OWN_PICTURE.test(attribs.src ?? ''),
  }).trim();
  // Written as the editor writes it, so that what was saved is the same to the letter.
  return clean.replace(/ ?\/>/g, '>');
}
