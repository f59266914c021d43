import { createHash } from 'node:crypto';
import { type ShopDocument } from '../../core/model/document';
import { documentText } from '../../core/publishing/document-text';

/** The stored form of a document, as an edition holds it, and its content hash. */
export function serialise(document: ShopDocument): { hash: string; text: string } {
  const text = documentText(document);
  return { hash: createHash('sha256').update(`${document.kind} ${text}`).digest('hex').slice(0, 40), text };
}
