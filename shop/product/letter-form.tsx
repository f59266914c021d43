import { useId, type ReactNode } from 'react';
import { useSending } from '../ui/use-sending';
import { say } from '../tongue';

interface Props {
  /** where it is sent with script, and as a plain form */
  api: string;
  action: string;
  /** what is sent along with what is typed */
  about: { slug: string; variant?: string };
  /** asks for words beside the mail address */
  words?: string;
  button: string;
  thanks: string;
  /** it was sent as a plain form just now */
  isDone: boolean;
  children?: ReactNode;
}

const field =
  'w-full min-w-0 rounded-xl border border-line bg-paper px-4 py-2.5 text-ink aria-[invalid=true]:border-sale';

const Problem = ({ id, text }: { id: string; text: string | undefined }) =>
  text && (
    <p id={id} role="alert" className="mt-1 text-sm text-sale">
      {text}
    </p>
  );

/** A few words from a shopper to the shop, with the address that the answer goes to. */
export function LetterForm({ api, action, about, words, button, thanks, isDone, children }: Props) {
  const { state, problems, send } = useSending(api);
  const id = useId();
  if (isDone || state === 'done')
    return (
      <p role="status" className="font-medium text-ink">
        {thanks}
      </p>
    );
  return (
    <form
      method="post"
      action={action}
      noValidate
      className="flex max-w-md flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        const typed = new FormData(event.currentTarget);
        void send(Object.fromEntries([...typed].map(([name, value]) => [name, String(value)])));
      }}
    >
      {children}
      <input type="hidden" name="slug" value={about.slug} />
      {about.variant && <input type="hidden" name="variant" value={about.variant} />}
      {words && (
        <div>
          <label htmlFor={`${id}-text`} className="mb-1 block text-sm text-ink-soft">
            {words}
          </label>
          <textarea
            id={`${id}-text`}
            name="text"
            rows={3}
            maxLength={2_000}
            aria-invalid={problems.text !== undefined}
            aria-describedby={problems.text ? `${id}-text-problem` : undefined}
            className={field}
          />
          <Problem id={`${id}-text-problem`} text={problems.text} />
        </div>
      )}
      <div>
        <label htmlFor={`${id}-email`} className="mb-1 block text-sm text-ink-soft">
          {say('letter.mail')}
        </label>
        <input
          id={`${id}-email`}
          type="email"
          name="email"
          autoComplete="email"
          placeholder={say('letter.mailExample')}
          aria-invalid={problems.email !== undefined}
          aria-describedby={problems.email ? `${id}-email-problem` : undefined}
          className={`${field} placeholder:text-ink-soft`}
        />
        <Problem id={`${id}-email-problem`} text={problems.email} />
      </div>
      <Problem id={`${id}-problem`} text={problems['']} />
      <button
        type="submit"
        disabled={state === 'sending'}
        className="self-start rounded-button bg-deep px-5 py-2.5 font-semibold text-white hover:brightness-90 disabled:opacity-60"
      >
        {button}
      </button>
    </form>
  );
}
