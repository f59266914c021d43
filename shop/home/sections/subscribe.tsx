import { useId } from 'react';
import { useReady } from '../../ui/use-ready';
import { useSending } from '../../ui/use-sending';
import { Heading } from './heading';
import type { SectionProps } from './section-props';
import { Words } from '../../ui/words';
import { say } from '../../tongue';

/** Takes a mail address. It can be sent as soon as the script has come, never as part of an address of the shop. */
export function Subscribe({ section, isFirst, url }: SectionProps<'subscribe'>) {
  const { state, problems, send } = useSending('/shop-api/subscribers');
  const field = useId();
  const isReady = useReady();
  const problem = problems.email ?? problems[''];
  return (
    <div className={section.align === 'centre' ? 'text-center' : ''}>
      <Heading section={section} isFirst={isFirst} className="!mb-2" />
      <Words
        as="p"
        section={section.id}
        field="text"
        text={section.text}
        hint="What they will hear"
        className={`mb-5 max-w-prose opacity-85 ${section.align === 'centre' ? 'mx-auto' : ''}`}
      />
      {state === 'done' ? (
        <p role="status" className="font-medium">
          {section.thanks}
        </p>
      ) : (
        <form
          noValidate
          className={`flex max-w-xl flex-wrap gap-2 ${section.align === 'centre' ? 'mx-auto' : ''}`}
          onSubmit={(event) => {
            event.preventDefault();
            const email = String(new FormData(event.currentTarget).get('email'));
            void send({ email, page: url.split('?')[0] });
          }}
        >
          <label htmlFor={field} className="sr-only">
            {say('letter.mail')}
          </label>
          <input
            id={field}
            type="email"
            name="email"
            autoComplete="email"
            placeholder={say('letter.mailExample')}
            aria-invalid={problem !== undefined}
            aria-describedby={problem ? `${field}-problem` : undefined}
            className="min-w-0 grow basis-56 rounded-button border border-line bg-paper px-5 py-3 text-ink placeholder:text-ink-soft"
          />
          <button
            type="submit"
            disabled={!isReady || state === 'sending'}
            className="rounded-button bg-sea px-6 py-3 font-semibold text-white hover:brightness-90"
          >
            {section.button}
          </button>
          {problem && (
            <p id={`${field}-problem`} role="alert" className="basis-full text-sm text-sale">
              {problem}
            </p>
          )}
        </form>
      )}
    </div>
  );
}
