import Image from '@tiptap/extension-image';
import { TableKit } from '@tiptap/extension-table';
import { EditorContent, useEditor, useEditorState } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { Bold, Heading2, Italic, List, ListOrdered, Quote } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Picture } from '../../../core/model/product-values';
import { LinkTool, PictureTool, TableTool } from './rich-tools';
import { WritingHelper } from './writing-helper';

interface Props {
  /** what the text is, for whoever hears it read */
  label: string;
  html: string;
  /** pictures that can be put into the text */
  pictures: readonly Picture[];
  isUnsaved: boolean;
  change: (html: string) => void;
}

/** Without the widths that the editor writes into tables: the shop has its own. */
const plainHtml = (html: string) => html.replace(/<colgroup>.*?<\/colgroup>/g, '').replace(/ style="[^"]*"/g, '');

/** Rich text that is typed as it will look. Pasted text is cut down to what the shop shows. */
export default function RichField({ label, html, pictures, isUnsaved, change }: Props) {
  /** what the editor was given last, or gave last */
  const known = useRef(html);
  const editor = useEditor({
    extensions: [
      StarterKit.configure({
        heading: { levels: [2, 3] },
        codeBlock: false,
        link: { openOnClick: false },
        // It would add an empty paragraph as soon as the cursor comes in, and so change what nobody touched.
        trailingNode: false,
      }),
      Image,
      TableKit.configure({ table: { resizable: false } }),
    ],
    content: html,
    injectCSS: false,
    editorProps: { attributes: { 'aria-label': label, role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: changed }) => {
      known.current = changed.isEmpty ? '' : plainHtml(changed.getHTML());
      change(known.current);
    },
  });
  const active = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      heading: now.isActive('heading'),
      bullets: now.isActive('bulletList'),
      numbers: now.isActive('orderedList'),
      quote: now.isActive('blockquote'),
    }),
  });
  useEffect(() => {
    // What was saved, undone or changed elsewhere comes in, but never over what is being typed.
    if (isUnsaved || html === known.current || editor.isDestroyed) return;
    known.current = html;
    const { from, to } = editor.state.selection;
    editor.commands.setContent(html, { emitUpdate: false });
    if (editor.isFocused) editor.commands.setTextSelection({ from, to });
  }, [editor, html, isUnsaved]);
  const chain = () => editor.chain().focus();
  const tools = [
    { key: 'bold', words: 'Bold', icon: Bold, run: () => chain().toggleBold().run() },
    { key: 'italic', words: 'Italic', icon: Italic, run: () => chain().toggleItalic().run() },
    { key: 'heading', words: 'Heading', icon: Heading2, run: () => chain().toggleHeading({ level: 2 }).run() },
    { key: 'bullets', words: 'List', icon: List, run: () => chain().toggleBulletList().run() },
    { key: 'numbers', words: 'Numbered list', icon: ListOrdered, run: () => chain().toggleOrderedList().run() },
    { key: 'quote', words: 'Quote', icon: Quote, run: () => chain().toggleBlockquote().run() },
  ] as const;
  return (
    <div className="rich-field field !p-0" data-unsaved={isUnsaved || undefined}>
      <div
        role="toolbar"
        aria-label="Shape the text"
        className="flex flex-wrap gap-0.5 border-b border-hair px-1.5 py-1"
      >
        {tools.map(({ key, words, icon: Icon, run }) => (
          <button
            key={key}
            type="button"
            title={words}
            aria-label={words}
            aria-pressed={active[key]}
            onClick={run}
            className="rounded-md p-1.5 text-ink-2 hover:bg-sunk aria-pressed:bg-marigold-soft aria-pressed:text-ink"
          >
            <Icon size={14} aria-hidden="true" />
          </button>
        ))}
        <LinkTool editor={editor} />
        <TableTool editor={editor} />
        <PictureTool editor={editor} pictures={pictures} />
        <WritingHelper editor={editor} />
      </div>
      <EditorContent editor={editor} />
    </div>
  );
}
