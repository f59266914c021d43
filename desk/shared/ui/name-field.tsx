import { useLayoutEffect, useRef, useState, type InputHTMLAttributes } from 'react';
import { useUnsaved } from '../autosave/unsaved';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'value' | 'onChange'> {
  value: string;
  /** takes the name when the field is left, or Enter is pressed */
  keep: (name: string) => void;
}

/** A name that is changed in place: kept when the field is left, by whatever way; Escape brings the old one back. */
export function NameField({ value, keep, ...rest }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const tellUnsaved = useUnsaved();
  const latest = useRef({ typed, value, keep });
  useLayoutEffect(() => {
    latest.current = { typed, value, keep };
  });
  const end = () => {
    const { typed: name, value: before, keep: take } = latest.current;
    tellUnsaved(null);
    latest.current.typed = null;
    setTyped(null);
    if (name !== null && name.trim() !== before) take(name.trim());
  };
  return (
    <input
      {...rest}
      value={typed ?? value}
      onChange={(event) => {
        setTyped(event.target.value);
        tellUnsaved({ problems: [], isOnItsWay: true, flush: end });
      }}
      onBlur={end}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        else if (event.key === 'Escape' && typed !== null) {
          event.stopPropagation();
          tellUnsaved(null);
          setTyped(null);
        }
      }}
    />
  );
}
