import type { ReactNode } from 'react';
import type { Autosave } from '../autosave/autosave';
import { Clashes } from './clashes';
import { SaveStateWords } from './save-state';

interface Props {
  save: Autosave;
  error?: string;
  children: ReactNode;
}

/** A page of settings that save themselves, with what is to be said about saving below. */
export const SaveSheet = ({ save, error, children }: Props) => (
  <div className="min-h-0 flex-1 overflow-y-auto p-5">
    <div className="flex max-w-3xl flex-col gap-6">
      {children}
      {error && (
        <p role="alert" className="text-rose-ink">
          {error}
        </p>
      )}
      <p className="text-xs text-ink-2">Shoppers see this with the next edition.</p>
      <Clashes save={save} />
      <SaveStateWords save={save} />
    </div>
  </div>
);

interface PartProps {
  title: string;
  about?: ReactNode;
  children: ReactNode;
}

/** A part of such a page below its heading. */
export const SheetPart = ({ title, about, children }: PartProps) => {
  const id = title.toLowerCase().replace(/[^a-z]+/g, '-');
  return (
    <section aria-labelledby={id}>
      <h2 id={id} className="font-display text-lg font-bold">
        {title}
      </h2>
      {about && <p className="text-ink-2">{about}</p>}
      <div className="mt-2 flex flex-col gap-3">{children}</div>
    </section>
  );
};
