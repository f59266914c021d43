import { lazy, Suspense } from 'react';
import { useLocation } from 'react-router';
import type { ProductAnswer } from '../../../contract/goods';
import type { Autosave } from '../../use-autosave';
import { TextArea, TextField } from '../../ui/field';
import { Part } from './part';

const RichField = lazy(() => import('./rich-field'));

interface Props {
  answer: ProductAnswer;
  save: Autosave;
}

export function Words({ answer: { product }, save }: Props) {
  const value = (name: 'title' | 'summary') => (save.drafts[name] as string | undefined) ?? product[name];
  const bind = (name: 'title' | 'summary') => ({
    value: value(name),
    error: save.errors[name],
    unsaved: name in save.drafts,
    onChange: (event: { target: { value: string } }) => save.change({ [name]: event.target.value }),
  });
  // A copy waits for its own title: it is ready to be typed over.
  const isCopy = (useLocation().state as { isCopy?: boolean } | null)?.isCopy ?? false;
  return (
    <Part id="words" title="Words">
      <div className="flex flex-col gap-3.5">
        <TextField
          label="Title"
          autoFocus={isCopy}
          onFocus={(event) => isCopy && event.target.select()}
          hint={`${value('title').length} letters; up to 60 show whole on a card`}
          {...bind('title')}
        />
        <TextArea
          label="Summary"
          rows={2}
          hint="One or two sentences, below the title and in search engines"
          {...bind('summary')}
        />
        <div>
          <span className="mb-1 block font-semibold">Description</span>
          <Suspense fallback={<div className="field h-40 animate-pulse" />}>
            <RichField
              html={product.description}
              pictures={product.pictures}
              isUnsaved={'description' in save.drafts}
              change={(description) => save.change({ description })}
            />
          </Suspense>
        </div>
      </div>
    </Part>
  );
}
