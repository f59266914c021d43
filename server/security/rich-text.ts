import sanitizeHtml from 'sanitize-html';

/** Rich text as it may be stored and shown: a few tags, safe links, nothing that runs or loads. */
export function cleanRichText(html: string): string {
  return sanitizeHtml(html, {
    allowedTags: ['p', 'h2', 'h3', 'strong', 'em', 's', 'u', 'ul', 'ol', 'li', 'blockquote', 'br', 'hr', 'a', 'code'],
    allowedAttributes: { a: ['href'] },
    allowedSchemes: ['http', 'https', 'mailto', 'tel'],
    transformTags: { b: 'strong', i: 'em', h1: 'h2', h4: 'h3' },
  }).trim();
}
