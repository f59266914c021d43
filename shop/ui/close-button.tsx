import { X } from 'lucide-react';

/** The cross that closes what lies over the page. */
export const CloseButton = ({
  label,
  close,
  className = '',
}: {
  label: string;
  close: () => void;
  className?: string;
}) => (
  <button
    type="button"
    aria-label={label}
    onClick={close}
    className={`flex size-10 items-center justify-center rounded-full bg-paper text-ink hover:bg-mist ${className}`}
  >
    <X size={20} aria-hidden="true" />
  </button>
);
