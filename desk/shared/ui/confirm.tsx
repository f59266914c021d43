import { useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { CallError } from '../../data/api';
import { Button } from './button';
import { Dialog } from './dialog';
import { refusalOf } from '../../data/tell-refused';

export interface Question {
  title: string;
  detail?: ReactNode;
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
      {question?.detail && <div className="whitespace-pre-line text-ink-2">{question.detail}</div>}
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

/**
 * A write that the server may ask back about: it is tried unconfirmed, and again when the person says so. Other refusals are
 * told in a toast. Answers the function that writes, and the dialog to draw.
 */
export function useConfirmedWrite(): [
  write: (write: (confirmed: boolean) => Promise<unknown>, doIt: string) => void,
  dialog: React.ReactNode,
] {
  const [ask, dialog] = useConfirm();
  const run = (write: (confirmed: boolean) => Promise<unknown>, doIt: string, confirmed = false) => {
    write(confirmed).catch((error: unknown) => {
      if (error instanceof CallError && error.is('confirm'))
        ask({ title: error.message, detail: error.problem.detail, doIt, run: () => run(write, doIt, true) });
      else toast.error(refusalOf(error));
    });
  };
  return [(write, doIt) => run(write, doIt), dialog];
}
