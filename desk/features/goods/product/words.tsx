import { lazy, Suspense } from 'react';
import { useLocation } from 'react-router';
import type { ProductAnswer } from '../../../../contract/product';
import type { Autosave } from '../../../shared/autosave/autosave';
import { TextArea, TextField } from '../../../shared/ui/field';
import { Part } from './part';
import { useProductField, useProductText } from './use-product-autosave';

const RichField = lazy(() => import('../../../shared/rich/rich-field'));

interface Props {
  answer: ProductAnswer;
  save: Autosave;
}

export function Words({ answer: { product }, save }: Props) {
  const title = useProductText(save, 'title');
  const summary = useProductText(save, 'summary');
  const description = useProductField(save, 'description');
  // A copy waits for its own title: it is ready to be typed over.
  const isCopy = (useLocation().state as { isCopy?: boolean } | null)?.isCopy ?? false;
  return (
    <Part id="words" title="Words">
      <div className="flex flex-col gap-3.5">
        <TextField
          label="Title"
          autoFocus={isCopy}
          onFocus={(event) => isCopy && event.target.select()}
          hint={`${title.value.length} letters; up to 60 show whole on a card`}
          {...title}
        />
        <TextArea
          label="Summary"
          rows={2}
          hint="One or two sentences, below the title and in search engines"
          {...summary}
        />
        <div>
          <span className="mb-1 block font-semibold">Description</span>
          <Suspense fallback={<div className="field h-40 animate-pulse" />}>
            <RichField
              label="Description"
              html={description.value}
              pictures={product.pictures}
              isUnsaved={description.unsaved}
              change={description.change}
            />
          </Suspense>
        </div>
      </div>
    </Part>
  );
}
