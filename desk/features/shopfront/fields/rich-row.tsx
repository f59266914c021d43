import { lazy, Suspense } from 'react';

const RichField = lazy(() => import('../../../shared/rich/rich-field'));

interface Props {
  label: string;
  html: string;
  change: (html: string) => void;
}

/** A text with shapes, as it will look. */
export const RichRow = ({ label, html, change }: Props) => (
  <div>
    <span className="mb-1 block font-semibold">{label}</span>
    <Suspense fallback={<div className="field h-28 animate-pulse" />}>
      <RichField label={label} html={html} pictures={[]} isUnsaved={false} change={change} />
    </Suspense>
  </div>
);
