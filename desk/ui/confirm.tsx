import { useState } from 'react';
import { Button } from './button';
import { Dialog } from './dialog';

export interface Question {
  title: string;
  detail?: string;
  /** what the button does, as a verb */
  doIt: string;
  run: () => void;
}

/** Asks before something that people may regret. Answers a function that asks, and the dialog to draw. */
export function useConfirm(): [ask: (question: Question) => void, dialog: React.ReactNode] {
  const [question, setQuestion] = useState<Question | null>(null);
  const close = () => setQuestion(null);
  const dialog = (
    <Dialog title={question?.title ?? ''} isOpen={question !== null} close={close}>
      {question?.detail && <p className="whitespace-pre-line text-ink-2">{question.detail}</p>}
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={close}>Keep it</Button>
        <Button
          look="danger"
          onClick={() => {
            question?.run();
            close();
          }}
        >
          {question?.doIt}
        </Button>
      </div>
    </Dialog>
  );
  return [setQuestion, dialog];
}
