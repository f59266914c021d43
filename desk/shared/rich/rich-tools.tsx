import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useEditorState, type Editor } from '@tiptap/react';
import { ImagePlus, Link2, Table2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { mediaUrl } from '../../../core/storefront/picture-sizes';
import type { Picture } from '../../../core/model/product-values';
import { Button } from '../ui/button';
import { TextField } from '../ui/field';

interface ToolProps {
  words: string;
  icon: ReactNode;
  isActive?: boolean;
  children: (close: () => void) => ReactNode;
}

function Tool({ words, icon, isActive, children }: ToolProps) {
  return (
    <Popover className="relative">
      <PopoverButton
        title={words}
        aria-label={words}
        data-active={isActive || undefined}
        className="rounded-md p-1.5 text-ink-2 hover:bg-sunk data-active:bg-marigold-soft data-active:text-ink"
      >
        {icon}
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="z-50 w-72 rounded-[10px] border border-line bg-sheet p-3 shadow-lg"
      >
        {({ close }) => <>{children(close)}</>}
      </PopoverPanel>
    </Popover>
  );
}

/** "larkandline.example" is taken as a web address, "me@…" as one for mail. */
function addressFrom(typed: string): string {
  const text = typed.trim();
  if (/^(https?:|mailto:|tel:|\/)/i.test(text)) return text;
  return text.includes('@') ? `mailto:${text}` : `https://${text}`;
}

function LinkForm({ editor, close }: { editor: Editor; close: () => void }) {
  const before = (editor.getAttributes('link').href as string | undefined) ?? '';
  const [typed, setTyped] = useState(before);
  const hasText = !editor.state.selection.empty || before !== '';
  const set = () => {
    if (typed.trim() === '') return;
    editor
      .chain()
      .focus()
      .extendMarkRange('link')
      .setLink({ href: addressFrom(typed) })
      .run();
    close();
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        set();
      }}
    >
      <TextField
        label="Leads to"
        placeholder="/c/kites or https://…"
        hint={hasText ? 'a page of the shop begins with /' : 'mark the words first that are to lead there'}
        value={typed}
        autoFocus
        onChange={(event) => setTyped(event.target.value)}
      />
      <div className="mt-2 flex justify-end gap-2">
        {before && (
          <Button
            look="bare"
            onClick={() => {
              editor.chain().focus().extendMarkRange('link').unsetLink().run();
              close();
            }}
          >
            No link
          </Button>
        )}
        <Button look="main" type="submit" disabled={!hasText}>
          Set the link
        </Button>
      </div>
    </form>
  );
}

export function LinkTool({ editor }: { editor: Editor }) {
  const isActive = useEditorState({ editor, selector: ({ editor: now }) => now.isActive('link') });
  return (
    <Tool words="Link" icon={<Link2 size={14} aria-hidden="true" />} isActive={isActive}>
      {(close) => <LinkForm editor={editor} close={close} />}
    </Tool>
  );
}

export function TableTool({ editor }: { editor: Editor }) {
  const isActive = useEditorState({ editor, selector: ({ editor: now }) => now.isActive('table') });
  const chain = () => editor.chain().focus();
  const steps: [words: string, run: () => boolean][] = isActive
    ? [
        ['Row below', () => chain().addRowAfter().run()],
        ['Column after', () => chain().addColumnAfter().run()],
        ['Remove this row', () => chain().deleteRow().run()],
        ['Remove this column', () => chain().deleteColumn().run()],
        ['Remove the table', () => chain().deleteTable().run()],
      ]
    : [['Put a table here', () => chain().insertTable({ rows: 3, cols: 3, withHeaderRow: true }).run()]];
  return (
    <Tool words="Table" icon={<Table2 size={14} aria-hidden="true" />} isActive={isActive}>
      {(close) => (
        <div className="flex flex-col items-start">
          {steps.map(([words, run]) => (
            <Button
              key={words}
              look="bare"
              onClick={() => {
                run();
                close();
              }}
            >
              {words}
            </Button>
          ))}
        </div>
      )}
    </Tool>
  );
}

export function PictureTool({ editor, pictures }: { editor: Editor; pictures: readonly Picture[] }) {
  return (
    <Tool words="Picture" icon={<ImagePlus size={14} aria-hidden="true" />}>
      {(close) => (
        <>
          <p className="mb-2 text-ink-2">
            {pictures.length === 0 ? 'Add pictures to the product first.' : 'One of the pictures of this product'}
          </p>
          <div className="flex flex-wrap gap-1.5">
            {pictures.map(({ id, media, alt }, i) => (
              <button
                key={id}
                type="button"
                aria-label={alt || `Picture ${i + 1}`}
                onClick={() => {
                  editor
                    .chain()
                    .focus()
                    .setImage({ src: mediaUrl(media, 960), alt })
                    .run();
                  close();
                }}
                className="size-14 overflow-hidden rounded-md hover:ring-2 hover:ring-marigold"
              >
                <img src={mediaUrl(media, 160)} alt="" className="size-full object-cover" />
              </button>
            ))}
          </div>
        </>
      )}
    </Tool>
  );
}
