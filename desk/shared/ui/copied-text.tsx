import { Check, Copy } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Button } from './button';

interface Props {
  label: string;
  text: string;
  isLong?: boolean;
}

/** A text to be taken elsewhere: selected by a click, copied by its button. */
export function CopiedText({ label, text, isLong }: Props) {
  const [isCopied, setCopied] = useState(false);
  useEffect(() => {
    const later = isCopied ? setTimeout(() => setCopied(false), 2_000) : undefined;
    return () => clearTimeout(later);
  }, [isCopied]);
  const select = ({ currentTarget }: { currentTarget: HTMLInputElement | HTMLTextAreaElement }) =>
    currentTarget.select();
  const look = 'field min-w-0 flex-1 font-mono !text-xs';
  return (
    <span className={`flex gap-2 ${isLong ? 'items-start' : 'items-center'}`}>
      {isLong ? (
        <textarea aria-label={label} readOnly rows={5} value={text} onFocus={select} className={look} />
      ) : (
        <input aria-label={label} readOnly value={text} onFocus={select} className={look} />
      )}
      <Button
        aria-label={`Copy: ${label}`}
        onClick={() => void navigator.clipboard.writeText(text).then(() => setCopied(true))}
      >
        {isCopied ? <Check size={13} aria-hidden="true" /> : <Copy size={13} aria-hidden="true" />}
        {isCopied ? 'Copied' : 'Copy'}
      </Button>
    </span>
  );
}
