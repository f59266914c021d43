import type { Editor } from '@tiptap/react';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { PenLine } from 'lucide-react';
import { useState } from 'react';
import { points, shorten, tidy, type HelperTask } from '../../../core/writing/helper';
import { Button } from '../ui/button';

const tasks: { task: HelperTask; words: string; run: (text: string) => string[] }[] = [
  { task: 'tidy', words: 'Tidy it', run: (text) => [tidy(text)] },
  { task: 'shorten', words: 'Shorten it', run: (text) => [shorten(text)] },
  { task: 'list', words: 'Make it a list', run: points },
];

/** The paragraph in which the cursor stands. */
function paragraphAt(editor: Editor) {
  const { $from } = editor.state.selection;
  if (!$from.parent.isTextblock || $from.depth === 0) return undefined;
  return { from: $from.before(), to: $from.after(), text: $from.parent.textContent };
}

/** Offers other words for the paragraph at the cursor, beside the ones that are there; taken or not. */
export function WritingHelper({ editor }: { editor: Editor }) {
  const [task, setTask] = useState<HelperTask>('tidy');
  return (
    <Popover className="relative ml-auto">
      <PopoverButton className="inline-flex items-center gap-1.5 rounded-md px-2 py-1 text-ink-2 hover:bg-sunk hover:text-ink">
        <PenLine size={13} aria-hidden="true" /> Help with this paragraph
      </PopoverButton>
      <PopoverPanel
        anchor="bottom end"
        className="z-50 w-[440px] rounded-[10px] border border-line bg-sheet p-3.5 shadow-lg"
      >
        {({ close }) => {
          const paragraph = paragraphAt(editor);
          if (!paragraph || paragraph.text.trim() === '')
            return <p>Put the cursor into a paragraph that has words, then ask again.</p>;
          const proposal = tasks.find((each) => each.task === task)!.run(paragraph.text);
          const isSame = proposal.length === 1 && proposal[0] === paragraph.text;
          const take = () => {
            const line = (text: string) => ({ type: 'paragraph', content: [{ type: 'text', text }] });
            const content =
              task === 'list'
                ? [
                    {
                      type: 'bulletList',
                      content: proposal.map((text) => ({ type: 'listItem', content: [line(text)] })),
                    },
                  ]
                : proposal.map(line);
            editor.chain().focus().insertContentAt({ from: paragraph.from, to: paragraph.to }, content).run();
            close();
          };
          return (
            <>
              <div className="mb-2.5 flex gap-1">
                {tasks.map((each) => (
                  <Button
                    key={each.task}
                    look={each.task === task ? 'plain' : 'bare'}
                    aria-pressed={each.task === task}
                    onClick={() => setTask(each.task)}
                  >
                    {each.words}
                  </Button>
                ))}
              </div>
              <div className="grid grid-cols-2 gap-3">
                <div>
                  <h3 className="mb-1 text-xs font-semibold text-ink-2">As it is</h3>
                  <p>{paragraph.text}</p>
                </div>
                <div>
                  <h3 className="mb-1 text-xs font-semibold text-ink-2">Proposed</h3>
                  {task === 'list' ? (
                    <ul className="list-disc pl-4">
                      {proposal.map((text, i) => (
                        <li key={i}>{text}</li>
                      ))}
                    </ul>
                  ) : (
                    <p>{isSame ? 'Nothing to change.' : proposal[0]}</p>
                  )}
                </div>
              </div>
              <p className="mt-3 text-xs text-ink-2">
                A stand-in with fixed rules: nothing is sent anywhere, nothing is made up. Bold words and links of the
                paragraph become plain.
              </p>
              <div className="mt-3 flex justify-end gap-2">
                <Button onClick={() => close()}>Leave it</Button>
                <Button look="main" disabled={isSame} onClick={take}>
                  Take it
                </Button>
              </div>
            </>
          );
        }}
      </PopoverPanel>
    </Popover>
  );
}
