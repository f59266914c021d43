import { lazy, Suspense, useId } from 'react';
import type { proposedTexts } from '../../../core/model/proposal';
import { TextArea, TextField } from '../../shared/ui/field';

const RichField = lazy(() => import('../../shared/rich/rich-field'));

export type Path = (typeof proposedTexts)[number];

interface TextsProps {
  /** '' for the main language */
  language: string;
  value: (path: Path) => string;
  change: (path: Path, text: string) => void;
  error: (path: Path) => string | undefined;
}

/** Title, summary and description in one language. */
export function Texts({ language, value, change, error }: TextsProps) {
  const id = useId();
  const inWords = language === '' ? '' : ` in ${language}`;
  return (
    <div className="flex flex-col gap-3">
      <TextField
        label={`Title${inWords}`}
        value={value('title')}
        error={error('title')}
        onChange={({ target }) => change('title', target.value)}
      />
      <TextArea
        label={`Summary${inWords}`}
        rows={2}
        value={value('summary')}
        error={error('summary')}
        onChange={({ target }) => change('summary', target.value)}
      />
      <div>
        <span id={id} className="mb-1 block font-semibold">
          Description{inWords}
        </span>
        <Suspense fallback={<div className="field h-40 animate-pulse" />}>
          <RichField
            label={`Description${inWords}`}
            html={value('description')}
            pictures={[]}
            isUnsaved={false}
            change={(html) => change('description', html)}
          />
        </Suspense>
        {error('description') && (
          <p role="alert" className="mt-1 text-rose-ink">
            {error('description')}
          </p>
        )}
      </div>
    </div>
  );
}
