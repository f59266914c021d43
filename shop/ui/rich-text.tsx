import { htmlAfter } from '../../core/shared/absolute-html';
import { useBase } from '../base';

/** What the seller wrote with the editor, cleaned when it was saved. Its links stay in the language, and in the shop window. */
export function RichText({ html, className = '' }: { html: string; className?: string }) {
  return <div className={`rich ${className}`} dangerouslySetInnerHTML={{ __html: htmlAfter(html, useBase()) }} />;
}
