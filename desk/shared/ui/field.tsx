import clsx from 'clsx';
import { useId, type InputHTMLAttributes, type ReactNode, type TextareaHTMLAttributes } from 'react';

interface Shared {
  label: string;
  hint?: ReactNode;
  error?: string;
  /** typed but not yet saved */
  unsaved?: boolean;
  hideLabel?: boolean;
}

function Frame({ id, label, hint, error, hideLabel, children }: Shared & { id: string; children: ReactNode }) {
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={clsx('mb-1 block font-semibold', hideLabel && 'sr-only')}>
        {label}
      </label>
      {children}
      {error ? (
        <p id={`${id}-note`} role="alert" className="mt-1 text-rose-ink">
          {error}
        </p>
      ) : (
        hint && (
          <p id={`${id}-note`} className="mt-1 text-xs text-ink-2">
            {hint}
          </p>
        )
      )}
    </div>
  );
}

/** A labelled one-line field with its hint or error below. */
export function TextField({
  label,
  hint,
  error,
  unsaved,
  hideLabel,
  className,
  ...rest
}: Shared & InputHTMLAttributes<HTMLInputElement>) {
  const id = useId();
  return (
    <Frame {...{ id, label, hint, error, hideLabel }}>
      <input
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-note` : undefined}
        data-unsaved={unsaved || undefined}
        className={clsx('field', className)}
        {...rest}
      />
    </Frame>
  );
}

export function TextArea({
  label,
  hint,
  error,
  unsaved,
  hideLabel,
  className,
  ...rest
}: Shared & TextareaHTMLAttributes<HTMLTextAreaElement>) {
  const id = useId();
  return (
    <Frame {...{ id, label, hint, error, hideLabel }}>
      <textarea
        id={id}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-note` : undefined}
        data-unsaved={unsaved || undefined}
        className={clsx('field resize-y', className)}
        {...rest}
      />
    </Frame>
  );
}
